# A piece with its schedule as a file (rhexon-piece/1), out and in.
module Piece::AsFile
  FORMAT = "rhexon-piece/1".freeze
  FIELDS = %w[name count wood wood_like use arris shape light pores look target_lab sheen_low sheen_high].freeze
  FACE = %w[name area_m2 shape grain kind found].freeze
  # What is in another shop by other names, and hours that were fixed there.
  OF_A_SHOP = %w[room dry_room tool].freeze

  # @!attribute piece [Piece]
  # @!attribute told  [Array<String>] what is otherwise here than it was there
  Taken = Struct.new(:piece, :told, keyword_init: true)

  class << self
    # @param piece [Piece]
    # @return [Hash] rhexon-piece/1
    def write(piece)
      document = piece.schedule.document
      steps = document["steps"].map { |step| step.except("pins") }
      { "format" => FORMAT, "piece" => fields(piece), "schedule" => document.merge("steps" => steps),
        "products" => Product::Named.in(steps) }
    end

    # As a piece of a job of its own.
    # @param json [Object] parsed
    # @param chosen [Hash] of Product::Named.take_in!
    # @return [Taken]
    # @raise [Rhexon::InvalidInput]
    def take_in!(json, chosen = {})
      Rhexon::Schema.check!("rhexon-piece-1", json)
      Piece.transaction do
        codes, fresh = Product::Named.take_in!(json["products"], chosen)
        piece = piece!(json["piece"])
        document, told = here(json["schedule"], codes)
        Current.forget_shelf
        piece.schedule.take_file!(document)
        Taken.new(piece: piece, told: [ *fresh.map { |name| "#{name} is new on the shelf" }, *told ])
      end
    end

    private

    def fields(piece)
      own = piece.attributes.slice(*FIELDS).compact
      own.merge("faces" => piece.faces.map { |face| face.attributes.slice(*FACE).compact })
    end

    def piece!(given)
      faces = given["faces"].map { |face| Face.new(face.slice(*FACE)) }
      faces.each_with_index { |face, index| face.position = index }
      piece = Piece.new(**given.slice(*FIELDS).compact, faces: faces, job: Job.new(client: "From a file"))
      return piece.tap(&:save!) if piece.valid?

      raise Rhexon::InvalidInput.new(piece.errors.first.message, where: "piece")
    end

    # The document with the names of this shop.
    def here(document, codes)
      told = []
      steps = Array(document["steps"]).grep(Hash).map { |step| step_here(Product::Named.renamed(step, codes), told) }
      whole = document.except("room", "dry_room").merge("steps" => steps)
      [ place(document).merge(whole), told.uniq ]
    end

    def place(document)
      rooms = Room.order(:id).pluck(:name)
      { "room" => rooms.include?(document["room"]) ? document["room"] : rooms.first,
        "dry_room" => (document["dry_room"] if rooms.include?(document["dry_room"])) }.compact
    end

    def step_here(step, told)
      known = { "room" => Room.pluck(:name), "dry_room" => Room.pluck(:name), "tool" => Tool.pluck(:name) }
      gone = OF_A_SHOP.select { |field| step[field] && known.fetch(field).exclude?(step[field]) }
      gone.each { |field| told << "There is no #{step[field]} here: it is done where it usually is" }
      step.except("pins", "mends", *gone)
    end
  end
end
