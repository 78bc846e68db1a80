# The recipe book as its page shows it: what is in it, the recipe that is open, and what it would be for a piece.
class BookState
  # @param template [Template, nil] nil: the first
  # @param piece [Piece, nil] that it is applied to
  # @param number [Integer, nil] of the version; nil: the latest
  def initialize(template: nil, piece: nil, number: nil)
    @template = template
    @piece = piece
    @number = number
  end

  # @return [Hash] BookPage
  def to_h = BookPageSerializer.new(page).to_h

  private

  def page
    { recipes: recipes.map { |template| BookLineSerializer.new(template).to_h },
      recipe: template && BookRecipeSerializer.new(version).to_h,
      pieces: pieces.map { |piece| choice(piece) }, piece: @piece&.id,
      set: { "values" => {}, "products" => {} }.merge(taken), currency: Shop.current.currency, zone: Shop.current.zone,
      now: Time.current.to_i / 60 }
  end

  def recipes = @recipes ||= Template.includes(versions: { schedules: :piece }).order(:name).to_a
  def template = @template || recipes.first
  def version = template.version(@number)
  def pieces = @pieces ||= ShopFloor.new.scheduled

  # What was chosen for the piece when it took a version of this recipe.
  def taken
    mine = @piece && @piece.schedule.template_version
    mine && mine.template_id == template&.id ? @piece.schedule.taken_with : {}
  end

  def choice(piece)
    { id: piece.id, name: piece.name, wood: piece.wood, client: piece.job.client, steps: piece.schedule.steps.size }
  end
end
