class TrialPolicy < OfPiecePolicy
end
