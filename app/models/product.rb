# A product on the shelf. Figures it lacks come from its class, marked as estimates, in the core.
class Product < ApplicationRecord
  include ChangesShelf
  include RenamesRecord
  include Retires

  COLOURS = Rhexon::Materials::ProductFigures.table.colours

  has_many :batches, dependent: :restrict_with_error
  has_many :mixes, dependent: :restrict_with_error

  validates :name, presence: { message: "Name the product." },
                   uniqueness: { scope: :maker, message: "This maker already has a product of that name." }
  validates :maker, presence: { message: "Name its maker." }
  validates :code, presence: true, uniqueness: { message: "Another product has that code." },
                   format: {
                     with: /\A[a-z0-9][a-z0-9_-]{0,39}\z/, message: "A code is small letters, digits, - and _."
                   }
  validates :role, presence: { message: "Say what it is for." }
  validates :colour,
            inclusion: {
              in: COLOURS,
              message: "A colour note is " \
                       "#{COLOURS.to_sentence(two_words_connector: " or ", last_word_connector: " or ")}."
            }
  validate :core_accepts_it
  after_save { Shelf.forget }
  after_destroy { Shelf.forget }

  # @param id [String] its number, or the code that schedules use
  # @raise [ActiveRecord::RecordNotFound]
  def self.named(id) = find_by(code: id.to_s) || find(id)

  # @return [String] a code that no other product has
  def self.free_code(name)
    stem = name.to_s.parameterize(separator: "_").first(30).presence || "product"
    [ stem, *(2..).lazy.map { |number| "#{stem}_#{number}" } .first(200) ].find { |code| !exists?(code: code) }
  end

  # @param own [Product::OwnColour]
  # @param on [Date]
  # @raise [Rhexon::InvalidInput]
  def colour_read!(own, on:)
    sources = (figures["sources"] || {}).merge("optics" => "#{own.words}, #{on.iso8601}")
    update!(figures: figures.merge("optics" => own.optics, "sources" => sources))
  end

  def forget_colour!
    sources = (figures["sources"] || {}).except("optics")
    update!(figures: figures.except("optics", "sources").merge(sources.any? ? { "sources" => sources } : {}))
  end

  # @return [Hash] a product of rhexon-shop/1; one that has no name yet is called new
  def to_core
    {
      "id" => code.presence || "new", "name" => full_name.strip.presence || "new product", "maker" => maker,
      "class" => kind, "role" => role, "colour" => colour, **(retired? ? { "retired" => true } : {})
    }.merge(figures)
  end

  # A record the core cannot read (older data) is left out of plans; its page says why.
  # @return [String, nil] why
  def unsound
    Rhexon::Materials::Product.read(to_core) && nil
  rescue Rhexon::InvalidInput, NoMethodError, TypeError => error
    Trouble.reason(error)
  end

  # What the core cannot read stands in as something that is known by name and never laid on.
  # @return [Rhexon::Materials::Product]
  def to_value
    Rhexon::Materials::Product.new(unsound ? to_core.slice("id", "name", "maker").merge("class" => "thinner") : to_core)
  end

  def full_name = "#{maker} #{name}"

  # Schedules and boards that name it, and pieces that were found under it.
  # @return [Array<String>]
  def named_in
    step = ->(field) { "CASE step.type WHEN 'object' THEN step.value ->> '#{field}' END" }
    tinted = "EXISTS (SELECT 1 FROM json_each(step.value, '$.tint') AS part WHERE part.value ->> 'product' = :code)"
    named = "EXISTS (SELECT 1 FROM json_each(%s) AS step " \
            "WHERE :code IN (#{step["product"]}, #{step["thinner"]}) OR #{tinted})"
    Piece.joins(schedule: :head).where(format(named, "revisions.document, '$.steps'"), code: code).order(:id)
      .pluck(:name) |
      Piece.joins(:faces).where("faces.found ->> 'product' = ?", code).order(:id).pluck(:name) |
      Board.joins(:cells).where(format(named, "cells.layers"), code: code).order(:id).distinct.pluck(:name)
  end

  # Whether any revision, board, trial or other product ever named it: then it stays, retired.
  def in_record?
    quoted = code.to_json
    [
      Revision.where("instr(document, ?) > 0", quoted), Cell.where("instr(layers, ?) > 0", quoted),
      Trial.where("instr(base, :code) + instr(factors, :code) > 0", code: quoted),
      Product.where.not(id: id).where("instr(figures, ?) > 0", quoted),
      Face.where("found ->> 'product' = ?", code)
    ].any?(&:exists?)
  end

  private

  # What the shop's plan would refuse is refused here, where it can be put right.
  def core_accepts_it
    Rhexon::Schema.check_record!("products", to_core)
    Rhexon::Materials::Product.new(to_core)
  rescue Rhexon::InvalidInput => refusal
    errors.add(refusal.where.split("/").last == "class" ? :kind : :figures, refusal.message)
  end
end
