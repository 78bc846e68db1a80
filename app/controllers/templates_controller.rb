# The recipe book: schedules that are kept for other pieces.
class TemplatesController < ApplicationController
  takes :create, name: :words, says: :words, piece: :whole, cell: :whole, into: :whole
  takes :update, name: :words, says: :words, parameters: :names

  def index
    template = query(:recipe) && Template.find(query(:recipe))
    piece = Access.named(Piece, query(:piece))
    render inertia: "Book", props: BookState.new(template: template, piece: piece, number: query(:version)&.to_i).to_h
  end

  # The recipe as a file (rhexon-template/1).
  def show
    version = Template.find(params[:id]).version(query(:version)&.to_i)
    send_data JSON.pretty_generate(version.read.json), filename: "#{version.template.name.parameterize}.json",
                                                       type: "application/json"
  end

  def create
    kept = Template::Kept.new(name: body["name"], says: body["says"], into: body["into"] && Template.find(body["into"]))
    template = body["cell"] ? kept.cell!(Cell.find(body["cell"])) : kept.piece!(Piece.find(body["piece"].to_i))
    render json: { location: templates_path(recipe: template.id) }
  end

  # Another name, what it is for, or what is offered to be varied: the next version.
  def update
    template = Template.find(params[:id])
    made = template.latest.read
    made = made.named(body["name"], body["says"]) if body.key?("name") || body.key?("says")
    made = made.varying(body["parameters"]) if body["parameters"]
    template.keep!(made, "Changed in the book")
    render json: BookState.new(template: template.reload).to_h
  end

  def destroy
    template = Template.find(params[:id])
    Rhexon.refuse_unless(template.schedules.empty?, "#{template.name} stays: pieces come from it", where: "recipe",
                         accepted: "a recipe that no piece comes from")
    template.destroy!
    render json: BookState.new.to_h
  end
end
