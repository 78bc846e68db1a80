# A spot of a coat that is cut out and patched, foreseen.
class PatchesController < ApplicationController
  include NamesPiece

  def show = render(json: PatchSerializer.new(patch).to_h)

  private

  def patch
    key = query(:pass).to_s
    piece_of_pass(key)
    piece_id, _, _, faces = key.split("/")
    plan = ShopFloor.new.plan
    face = (plan.piece(piece_id)&.faces || {}).keys.find { |id| faces.to_s.split("+").include?(id) }
    Rhexon.refuse_unless(face, "A patch is made on work that is done", where: "pass", accepted: "the coat laid on last")
    Rhexon::Faults::Patch.new(plan.film(piece_id, face).standing.film, pass: key,
                              spot_mm: Float(query(:mm).to_s, exception: false))
  end
end
