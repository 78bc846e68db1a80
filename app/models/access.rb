# Who may do what: for each controller the least role that reads and the least that changes something. What is not named
# here is the owner's. Whoever may do something as a student may do it with what is theirs: each record that a request
# names is asked of its policy (app/policies) when it is loaded.
module Access
  # Answered to anybody: signing in, beginning a shop, instruments by their token, guests by their link.
  OPEN = %w[
    absences first_archives first_owners first_shops guests health
    instrument_readings#create sessions workers
  ].to_set.freeze

  # Reading, and changing; nil: nothing there is changed.
  STUDENT = %i[student student].freeze
  WORK = %i[finisher finisher].freeze
  READ_BY_STUDENTS = %i[student finisher].freeze
  RULED_BY_OWNER = %i[finisher owner].freeze

  ROLES = {
    # The bench and what stands around it.
    "bench" => STUDENT, "entries" => STUDENT, "entries/settlings" => STUDENT,
    "faults" => STUDENT, "patches" => STUDENT, "days" => WORK,
    "days/nights" => WORK, "hands" => STUDENT, "people/mine" => STUDENT,
    "people/second_steps" => STUDENT, "confirmations" => STUDENT,
    "handbook" => STUDENT,
    "instrument_presses" => STUDENT, "instrument_readings" => STUDENT, "scales" => STUDENT, "scales/zeros" => STUDENT,
    "scales/hands" => STUDENT, "sums" => STUDENT, "overs" => STUDENT, "page_faults" => STUDENT,
    # Pieces and their schedules.
    "pieces" => READ_BY_STUDENTS, "pieces#new" => WORK, "pieces#edit" => WORK,
    "pieces/photos" => STUDENT, "pieces/levels" => STUDENT, "photos" => STUDENT,
    "photos/thumbs" => STUDENT, "photos/colours" => STUDENT, "comparisons" => STUDENT,
    "comparisons/chances" => STUDENT, "schedules" => STUDENT, "schedules/previews" => STUDENT,
    "schedules/foresights" => STUDENT, "schedules/what_ifs" => STUDENT, "schedules/new_steps" => STUDENT,
    "schedules/chances" => STUDENT, "schedules/remedies" => STUDENT,
    "schedules/looks" => STUDENT,
    "schedules/edits" => STUDENT, "schedules/undos" => STUDENT, "schedules/redos" => STUDENT,
    "schedules/revisions" => STUDENT, "schedules/sheets" => STUDENT, "schedules/files" => STUDENT,
    "pieces/files" => WORK, "templates" => WORK, "templates/previews" => WORK,
    "templates/applications" => WORK, "templates/files" => WORK,
    "pieces/proposals" => WORK, "pieces/proposals/choices" => WORK, "pieces/proposals/looks" => WORK,
    "pieces/proposals/trials" => WORK, "pieces/quotes" => WORK, "pieces/quotes/givens" => WORK,
    "pieces/removals" => WORK, "pieces/past_works" => WORK,
    "pieces/class_given" => WORK, "pieces/class_given/removals" => WORK,
    "jobs" => WORK, "areas" => WORK, "areas/pieces" => WORK, "sizes" => WORK,
    "timbers" => WORK, "plans" => WORK, "plans/goals" => WORK, "plans/chances" => WORK, "plans/acceptances" => WORK,
    "plans/searches" => WORK, "handovers" => READ_BY_STUDENTS, "guest_links" => WORK, "days/sheets" => WORK,
    # Boards.
    "boards" => STUDENT, "boards/labels" => STUDENT, "boards/makings" => STUDENT, "boards/picks" => STUDENT,
    "boards/quick_readings" => STUDENT, "boards/readings" => STUDENT, "boards/sheets" => STUDENT,
    "boards/verdicts" => STUDENT, "boards/files" => READ_BY_STUDENTS, "cells" => STUDENT,
    "cells/approvals" => READ_BY_STUDENTS, "cells/measurements" => STUDENT, "cells/photo_colours" => STUDENT,
    "cells/promotion_previews" => STUDENT, "cells/promotions" => STUDENT, "cells/readings" => STUDENT,
    "trials" => STUDENT, "trials/bases" => STUDENT, "trials/previews" => STUDENT, "colours" => STUDENT,
    "colours/steps" => STUDENT,
    # Mixing and the shelf.
    "mixes" => STUDENT, "mixes/corrections" => STUDENT, "mixes/discards" => STUDENT, "mixes/finishes" => STUDENT,
    "mixes/pours" => STUDENT, "mixes/previews" => STUDENT, "mixes/ways" => STUDENT, "mixes/sheets" => STUDENT,
    "shelf" => READ_BY_STUDENTS, "batches" => READ_BY_STUDENTS, "batches/boxes" => WORK, "batches/labels" => WORK,
    "consumables" => WORK, "products" => READ_BY_STUDENTS, "products/defaults" => WORK, "products/exports" => WORK,
    "products/imports" => WORK, "products/optics" => WORK, "products/retirements" => WORK,
    # The record and the shop.
    "records" => WORK, "records/figures" => WORK, "records/paces" => WORK, "records/hours" => WORK,
    "records/recurrences" => WORK,
    "shops" => RULED_BY_OWNER, "shops/calendars" => WORK, "shops/goals" => WORK, "shops/logger_files" => WORK
  }.freeze

  # Of what students may ask for: what names no record but the shop's own, or shows nothing but theirs.
  NOBODYS = %w[
    bench colours#create confirmations faults#index handbook hands instrument_presses instrument_readings
    mixes/previews overs page_faults people/mine people/second_steps products batches scales scales/hands
    scales/zeros shelf sums
  ].to_set.freeze

  # The owner's own: asked for with the password, given within the last minutes.
  CONFIRMED = %w[audits shops/accounts shops/archives shops/backups shops/people shops/settings].to_set.freeze

  module_function

  # @param controller [String] path of a controller
  # @param action [String]
  # @return [Boolean] whether anybody may
  def open?(controller, action) = OPEN.include?(controller) || OPEN.include?("#{controller}##{action}")

  # @return [Boolean] whether the password is asked for again
  def confirmed?(controller) = CONFIRMED.include?(controller)

  # @param changes [Boolean] whether the request would change something
  # @return [String] the least role that may
  def least(controller, action, changes)
    reads, writes = ROLES["#{controller}##{action}"] || ROLES.fetch(controller, %i[owner owner])
    (changes ? writes : reads).to_s
  end

  # @return [Boolean] whether what is asked for is nobody's: the shop's own, or whoever asks themselves
  def nobodys?(controller, action) = NOBODYS.include?(controller) || NOBODYS.include?("#{controller}##{action}")

  # @return [Boolean] whether whoever asks is shown the shop as a whole: what it pays, what it buys, where all is used
  def whole_shop? = !Current.person&.student?

  # A record that a request names. What is loaded is asked about, however its number was written.
  # @param among [ActiveRecord::Relation, Class]
  # @param id [Object] none: nothing is named
  # @return [ActiveRecord::Base, nil]
  # @raise [ActiveRecord::RecordNotFound, Pundit::NotAuthorizedError]
  def named(among, id) = use(id.presence && among.find_by!(id: id))

  # @param record [ActiveRecord::Base, nil]
  # @return [ActiveRecord::Base, nil] the same, which whoever asks may use
  # @raise [Pundit::NotAuthorizedError]
  def use(record, sentence = "That is no piece, board or mix of yours.")
    Current.asked_policy = true
    return record if record.nil? || Pundit.policy!(Current.person, record).use?

    raise Pundit::NotAuthorizedError, sentence
  end

  # What a student begins belongs to something of theirs; whoever runs the bench begins what belongs to nothing yet.
  # @param record [ActiveRecord::Base, nil] what it is to belong to
  # @param sentence [String] why a student has to say so
  # @raise [Pundit::NotAuthorizedError]
  def begin_for(record, sentence)
    raise Pundit::NotAuthorizedError, sentence if record.nil? && Current.person&.student?

    use(record)
  end

  # Those that whoever asks may see.
  # @param among [ActiveRecord::Relation, Class]
  # @return [ActiveRecord::Relation]
  def of(among)
    Current.asked_policy = true
    Pundit.policy_scope!(Current.person, among)
  end
end
