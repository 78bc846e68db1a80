class BoardPolicy < OfPiecePolicy
end
