# Jobs and their pieces.
class PiecesController < ApplicationController
  keeps_sound :create, :update
  takes :create, :update, job_id: :typed, client: :name, place: :words, due: :name, name: :name, count: :typed,
                          wood: :name, use: :name, arris: :name, shape: :name, look: :words, wanted_colour: :name,
                          wanted_gloss: :name, light: :name, pores: :name, priority: :name, wood_like: :name,
                          timber_id: :typed,
                          faces: :list

  CLOSED_TO_A_PAGE = 20

  def index
    floor = ShopFloor.new
    jobs = Access.of(Job.in_hand.includes(pieces: [ :faces, :job, { schedule: :head } ]))
    seen = if jobs.any? { |job| job.pieces.any? }
      floor.draw { jobs.map { |job| overview(job, floor) } }
    else
      jobs.map { |job| overview(job, nil) }
    end
    list = ListPage.new(Current.person.student? ? Job.none : Job.closed, query(:closed), size: CLOSED_TO_A_PAGE)
    page "Pieces/Index", PiecesPageSerializer,
         { jobs: seen, closed: closed(list), removed: removed, page: list, now: floor.now.to_i / 60 }
  end

  def new
    render inertia: "Pieces/New", props: choices.merge(job_id: query(:job_id)&.to_i)
  end

  def create
    piece = Piece.new(piece_params)
    piece.job = job
    if [ piece.job.valid?, piece.valid? ].all?
      piece.save!
      redirect_to piece_schedule_path(piece), status: :see_other
    else
      redirect_to new_piece_path, inertia: { errors: errors_of(piece) }, status: :see_other
    end
  end

  def edit
    render inertia: "Pieces/Edit",
           props: choices.merge(piece: PieceFormSerializer.new(piece).to_h, measured: Piece::Measured.new(piece).to_a,
                                zone: Shop.current.zone)
  end

  # Existing faces keep their names: steps and log entries go by them.
  def update
    if piece.update(edited)
      redirect_to piece_schedule_path(piece), status: :see_other
    else
      redirect_to edit_piece_path(piece), inertia: { errors: errors_of(piece) }, status: :see_other
    end
  end

  private

  def removed = Current.person.student? ? [] : Piece::Removal.offered.to_a

  def closed(list)
    list.records.includes(:pieces).map do |job|
      { id: job.id, client: job.client, pieces: job.pieces.map(&:name), closed_at: job.closed_at.to_i / 60 }
    end
  end

  def overview(job, floor)
    {
      id: job.id, client: job.client, place: job.place, due: job.due_at && job.due_at.to_i / 60,
      due_on: job.due_on&.iso8601, air_there: job.air_there, priority: job.priority,
      pieces: seen(job).map { |piece| PieceSerializer.new(piece).to_h.merge(progress(piece, floor)) }
    }
  end

  # Of a class each sees their own.
  def seen(job) = job.pieces.select { |piece| theirs.include?(piece.id) }
  def theirs = @theirs ||= Access.of(Piece).ids.to_set

  def progress(piece, floor)
    aside = floor.aside_of(piece) and
      return { steps: 0, passes: 0, done: 0, ready_at: nil, levels: {}, aside: aside.reason }

    plan = floor.plan
    mine = plan.of_piece(piece.core_id)
    { aside: nil, steps: piece.schedule.steps.size, passes: mine.size,
      done: mine.count { |placement| placement.status == "done" }, ready_at: plan.build.ready[piece.core_id],
      levels: plan.model.large? ? nil : Piece::Levels.of(plan, piece) }
  end

  def choices
    PieceChoicesSerializer.new(
      { jobs: Job.in_hand.map { |job| { id: job.id, client: job.client } }, grains: Piece::GRAINS, uses: Piece::USES,
        arrises: Piece::ARRISES, shapes: Piece::SHAPES,
        lights: Rhexon::Colour::Light.all.map { |light| [ light.id, light.name ] },
        timbers: Timber.order(:name).map(&:to_choice),
        coats: Rhexon::Schedule::Kinds.sorted("coat", Shelf.products.values).map { |coat| [ coat.id, coat.name ] } }
    ).to_h
  end

  def job
    if body["job_id"].present?
      Job.in_hand.find(body["job_id"])
    else
      Job.new(client: body["client"], place: body["place"].presence, due_on: body["due"])
    end
  end

  def piece = @piece ||= Piece.includes(:faces, :job).find(params[:id])
  def worked_on = (piece if action_name == "update")

  def given = body.except("job_id", "client", "place", "due", "faces")

  def piece_params
    given.compact_blank
      .merge("faces_attributes" => faces.each_with_index.map { |face, index| { **face, "position" => index } })
  end

  def edited
    known = piece.faces.index_by(&:name)
    given.merge("faces_attributes" => faces.each_with_index.map { |face, index|
      { **face, "id" => known[face["name"]]&.id, "position" => index }
    })
  end

  FACE = { name: :name, area_m2: :typed, grain: :name, kind: :name, found: :table }.freeze

  def faces
    (body["faces"] || []).map do |face|
      raise Rhexon::InvalidInput.new("A face has a name, an area and a grain", where: "faces") unless face.is_a?(Hash)

      Given.read(face, FACE)
    end
  end

  def errors_of(piece)
    own = piece.errors
      .to_hash
      .except(:job, :"job.client", :"faces.area_m2", :"faces.name", :"faces.grain", :"faces.kind", :"faces.shape",
              :"faces.found")
      .transform_values(&:first)
    faces = piece.faces
      .each_with_index
      .flat_map { |face, index|
        face.errors.to_hash.map { |field, texts|
          [ "faces.#{index}.#{field}", texts.first ]
        }
      }.to_h
    own.merge(faces, piece.job.errors.to_hash.transform_values(&:first))
  end
end
