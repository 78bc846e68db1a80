# The schedule of a piece: a chain of immutable revisions. +head+ is the one in force; undo moves it to its parent.
class Schedule < ApplicationRecord
  # Somebody else edited in the meantime.
  class Stale < StandardError
    attr_reader :since

    def initialize(since)
      @since = since
      super("The schedule has changed since you opened it.")
    end
  end

  belongs_to :piece
  belongs_to :from_cell, class_name: "Cell", optional: true
  belongs_to :template_version, class_name: "Template::Version", optional: true
  belongs_to :head, class_name: "Revision", optional: true
  belongs_to :redo, class_name: "Revision", optional: true
  has_many :revisions, -> { order(:number) }, dependent: :restrict_with_error, inverse_of: :schedule
  after_create :begin!

  def document = head.document

  # @return [Array<Hash>] none where the document cannot be read
  def steps = head.steps

  # Applies an operation to the head.
  # @param operation [Hash] of Rhexon::Schedule::Edit
  # @param base [Integer] number of the revision it was made on
  # @return [Revision]
  # @raise [Stale, Rhexon::InvalidInput]
  # @yieldreturn [String] the reason where none is given; asked once the operation has proved sound
  def edit!(operation, base:, reason: nil)
    locked do
      raise Stale.new(since(base.to_i)) unless base == head.number

      advance!(proposed(operation), operation, reason || yield)
    end
  end

  # @return [Hash] the document the operation would make, checked against piece, shelf and log
  def proposed(operation)
    after = Rhexon::Schedule::Edit.apply(document, operation, as_typed: Shelf.as_typed)
    Rhexon::Schedule::Fitting.check_changes!(after, document, Shelf.products)
    fits!(after)
  end

  # Whichever way a document comes in: what it names is there, and what is logged stays as it was.
  # @return [Hash] the document
  # @raise [Rhexon::InvalidInput]
  def fits!(after)
    Rhexon::Schedule::Document.check_names!(after, faces: piece.faces.map(&:name), products: Shelf.products,
                                                   rooms: Room.pluck(:name), tools: Tool.pluck(:name),
                                                   people: Person.pluck(:name))
    Schedule::FrozenPasses.new(piece, document).check!(after)
    after
  end

  # The layers of a cell become the schedule.
  def promote!(result, cell)
    locked do
      fits!(result.document)
      advance!(result.document,
               { "op" => "promote", "cell" => cell.id, "board" => cell.board.name, "label" => cell.label },
               "Promoted cell #{cell.label} of #{cell.board.name}")
    end
  end

  # A way that was proposed becomes the schedule.
  # @param system [String] its id
  # @return [Revision]
  def propose!(document, system, name)
    locked do
      checked = Rhexon::Schedule::Document.check!(document, fillers: Shelf.fillers)
      advance!(fits!(checked), { "op" => "propose", "system" => system }, "Chose: #{name}")
    end
  end

  # A recipe of the book becomes the schedule.
  # @param version [Template::Version]
  # @param set [Hash] "values" and "products" that were chosen for it
  # @return [Revision]
  def take!(document, version, set)
    locked do
      checked = Rhexon::Schedule::Document.check!(document, fillers: Shelf.fillers)
      advance!(fits!(checked), { "op" => "template", "version" => version.id, **set },
               "From the book: #{version.template.name}, version #{version.number}")
    end
  end

  # The schedule of another piece, as it stands: what is given to a class. Hours that were fixed there are not.
  # @param from [Schedule]
  # @return [Revision]
  def give!(from)
    locked do
      document = from.document.merge("steps" => from.steps.map { |step| step.except("pins") })
      checked = Rhexon::Schedule::Document.check!(document, fillers: Shelf.fillers)
      advance!(fits!(checked), { "op" => "give", "revision" => from.head.id }, "Given from #{from.piece.name}")
    end
  end

  # As it came in a file.
  # @return [Revision]
  # @raise [Rhexon::InvalidInput]
  def take_file!(document)
    locked do
      checked = Rhexon::Schedule::Document.check!(document, fillers: Shelf.fillers)
      Rhexon::Schedule::Fitting.check_changes!(checked, self.document, Shelf.products)
      advance!(fits!(checked), { "op" => "file" }, "Taken in from a file")
    end
  end

  # What was chosen when the recipe that it comes from was taken.
  # @return [Hash] "values" and "products"
  def taken_with
    (made_whole&.operation || {}).slice("values", "products")
  end

  # @raise [Rhexon::InvalidInput] when there is nothing to undo
  def undo!
    locked do
      raise Rhexon::InvalidInput.new("There is nothing to undo") unless head.parent

      goes_to!(head.parent)
      move_to!(head.parent, redo_to: head)
    end
  end

  def redo!
    locked do
      raise Rhexon::InvalidInput.new("There is nothing to do again") unless self.redo

      target = self.redo
      goes_to!(target)
      move_to!(target, redo_to: revisions.where(parent: target).where("number > ?", target.number).order(:number).last)
    end
  end

  # @return [Array<Revision>] edits on the way from a revision to the head
  def since(number) = lineage.take_while { |revision| revision.number > number }.reverse

  # @return [Array<Revision>] head first
  def lineage
    by_id = revisions.select(:id, :number, :parent_id, :operation, :reason, :created_at, :schedule_id,
                             :person_id).index_by(&:id)
    Enumerator.produce(head) { |revision| by_id[revision.parent_id] || raise(StopIteration) }.to_a
  end

  private

  # The piece is the one that was read: only the schedule is read again.
  def locked
    read = piece
    with_lock do
      association(:piece).target = read
      yield
    end
  end

  # The way back from a document that does not fit may lead over others that do not.
  def goes_to!(revision)
    fits?(document) ? fits!(revision.document) : Schedule::FrozenPasses.new(piece, document).check!(revision.document)
  end

  def fits?(document)
    fits!(Rhexon::Schedule::Document.check!(document)) && true
  rescue Rhexon::InvalidInput, NoMethodError, TypeError
    false
  end

  def begin!
    first = revisions.create!(number: 1, person: Current.person,
                              document: Rhexon::Schedule::Document.empty(room: Room.order(:id).first&.name),
                              operation: { "op" => "begin" }, reason: "Began the schedule", created_at: Time.current)
    update!(head: first)
  end

  def advance!(document, operation, reason)
    revision = revisions.create!(number: revisions.maximum(:number) + 1, parent: head, document: document,
                                 operation: operation, reason: reason, person: Current.person,
                                 created_at: Time.current)
    update!(head: revision, redo: nil, **(WHOLE.include?(operation["op"]) ? origin(operation) : {}))
    revision
  end

  # Operations that make all of it.
  WHOLE = %w[promote propose template].freeze
  private_constant :WHOLE

  # @return [Revision, nil]
  def made_whole = lineage.find { |step| WHOLE.include?(step.operation["op"]) }

  # The cell or the recipe that it comes from.
  def origin(operation)
    { from_cell_id: operation["cell"], template_version_id: Template::Version.find_by(id: operation["version"])&.id }
  end

  # The link to a cell or a recipe goes back and forth with the revision that made it.
  def move_to!(revision, redo_to:)
    self.head = revision
    self.redo = redo_to
    assign_attributes(origin(made_whole&.operation || {}))
    save!
  end
end
