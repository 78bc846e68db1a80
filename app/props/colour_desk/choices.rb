# What the colour desk begins with: colours that are known, colourants on the shelf, pieces it may be work of.
module ColourDesk::Choices
  module_function

  # @param work [Hash, nil] the step of a schedule that a colour is sought for (ColourWork.sought)
  # @return [Hash] ColourPage
  def start(work: nil)
    ColourPageSerializer.new(
      { woods: Rhexon::Colour::Wood.species, colourants: colourants.map { |product| colourant(product) },
        lights: Rhexon::Colour::Light.all, cells: cells, pieces: wanted, works: works, work: work,
        scale_g: Shop.current.scale_g, says: Rhexon::Boards::LookRequest::GUIDE, taught: Board::Lessons.told,
        photos: loose_photos.map { |photo| PhotoSerializer.new(photo).to_h } }
    ).to_h
  end

  # Products that colour a stain or a toner, with colour figures.
  def colourants
    Shelf.offered.select do |product|
      product.optics && product.optics["kind"] != "film" && Rhexon::Colour::Optics.for(product).k.sum.positive?
    end
  end

  def colourant(product)
    { id: product.id, name: product.name, hex: hex(product),
      concentrate: Rhexon::Schedule::Kinds.concentrate?(product) }
  end

  # Cells that were read.
  def cells
    Cell.where(board: Access.of(Board)).includes(:readings, board: :piece).filter_map do |cell|
      lab = cell.latest_lab or next
      { id: cell.id, words: "cell #{cell.label} of #{cell.board.name}", lab: lab, wood: cell.board.wood }
    end
  end

  def wanted
    Access.of(Piece.in_hand).where.not(target_lab: nil).order(:id).map do |piece|
      { id: piece.id, words: piece.name, lab: piece.target_lab, wood: piece.wood }
    end
  end

  def works
    Access.of(Piece.in_hand).order(:id).map { |piece|
      { id: piece.id, words: piece.name, wood: piece.wood }
    }
  end

  # The newest photos that belong to nothing else: where a wanted colour may be picked.
  def loose_photos
    return Photo.none if Current.person&.student?

    Photo.where(cell_id: nil, piece_id: nil, entry_id: nil).order(id: :desc).limit(6)
  end

  # At stock strength on maple, a concentrate at a share of it, to know it by.
  def hex(product)
    looks = Rhexon::Colour::Looks.new(Rhexon::Colour::Wood.for_species("maple"), [], {})
    share = Rhexon::Schedule::Kinds.concentrate?(product) ? Rhexon::Reference.colour.concentrate_share : 1.0
    Rhexon::Colour::Look.new(looks.with_stain({ product => share }), Rhexon::Colour::Light.find("D65")).hex
  end
  private_class_method :colourant, :cells, :wanted, :works, :loose_photos, :hex
end
