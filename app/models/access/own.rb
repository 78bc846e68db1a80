# Whether all that a student's request is about is theirs: the pieces, boards, cells, mixes and photos that its address
# and its body name.
class Access::Own
  PIECES = %w[piece_id piece layers_from base_from].freeze

  # @param person [Person]
  # @param controller [String]
  # @param path, given [Hash] of the address; of query and body
  def initialize(person, controller, path, given)
    @person = person
    @controller = controller
    @path = path.transform_keys(&:to_s)
    @given = given
  end

  # @return [String, nil] why not
  def refusal
    return "That is no piece, board or mix of yours." unless named.all? { |record| record.nil? || own?(record) }

    NEEDS[@controller]&.then { |fields, sentence| sentence if begins? && fields.none? { |name| @given[name].present? } }
  end

  # What a student begins belongs to a piece of theirs.
  NEEDS = {
    "boards" => [ %w[piece_id layers_from], "A board of yours belongs to one of your pieces: choose it." ],
    "trials" => [ %w[piece_id base_from], "A trial of yours belongs to one of your pieces: choose it." ],
    "mixes" => [ %w[pass], "A mix of yours is for a coat on one of your pieces: begin it from the coat." ],
    "entries" => [ %w[pass corrects corrects_touch],
                   "The end of the day is for those who run the bench: tell one of them." ],
    "photos" => [ %w[pass piece_id cell_id], "A photo of yours belongs to one of your pieces or boards." ]
  }.freeze
  private_constant :NEEDS

  private

  def begins? = @path["action"] == "create"

  # @return [Array<ActiveRecord::Base, nil>] nil: nothing of that number is there, which the action itself says
  def named = pieces + boards + entries + others

  def pieces
    ids = [ *PIECES.map { |name| @given[name] }, @path["piece_id"] ]
    ids << @path["id"] if @controller == "pieces"
    keys = [ @given["pass"] ].grep(String).map { |key| Piece.id_of(key.split("/").first.to_s) }
    (ids.select { |id| id.is_a?(Integer) || id.is_a?(String) } + keys).compact_blank
      .map { |id| Piece.find_by(id: id) }
  end

  def boards
    found = []
    found << Board.find_by(id: @path["board_id"]) if @path["board_id"]
    found << Board.find_by(id: @path["id"]) if @controller == "boards" && @path["id"]
    found << Board.find_by(id: @given["board"]) if @given["board"].is_a?(Integer)
    found << Trial.find_by(id: @path["id"]) if @controller == "trials" && @path["id"]
    cell = @given["cell_id"]
    found << Cell.find_by(id: cell)&.board if cell.is_a?(Integer) || cell.is_a?(String)
    found
  end

  def entries
    of = []
    of << Entry.find_by(id: @given["corrects"]) if @given["corrects"].is_a?(Integer)
    of << Entry.find_by(client_id: @given["corrects_touch"]) if @given["corrects_touch"].is_a?(String)
    of
  end

  def others
    mix = @path["mix_id"] || (@path["id"] if @controller == "mixes")
    photo = @path["photo_id"] || (@path["id"] if @controller == "photos")
    job = @path["job_id"]
    [ (Mix.find_by(id: mix) if mix), (Photo.find_by(id: photo) if photo), (Job.find_by(id: job) if job) ]
  end

  def own?(record)
    case record
    when Piece then record.person_id == @person.id
    when Board, Trial then record.piece&.person_id == @person.id
    when Entry then record.piece&.person_id == @person.id
    when Mix then record.pass_keys.any? && record.pass_keys.all? { |key| own?(Piece.from_core(key.split("/").first)) }
    when Photo then own_photo?(record)
    when Job then record.pieces.all? { |piece| own?(piece) }
    end
  end

  def own_photo?(photo)
    piece = photo.piece || photo.entry&.piece || photo.cell&.board&.piece
    piece&.person_id == @person.id
  end
end
