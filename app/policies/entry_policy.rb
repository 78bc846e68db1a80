class EntryPolicy < OfPiecePolicy
end
