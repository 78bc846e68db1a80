# An entry of the log in words, as the record shows it and finds it.
class Record::Told
  KINDS = {
    "started" => "begun", "done" => "done", "dry_test" => "dry test", "fault" => "fault", "note" => "note",
    "correction" => "taken back", "poured" => "poured", "mixed" => "mixed", "discarded" => "thrown away",
    "approved" => "look approved", "verdict" => "board decided", "acknowledged" => "cautions read",
    "rags" => "rags dealt with", "tick" => "finished", "measured" => "measured", "seen_to" => "seen to"
  }.freeze
  ANSWERS = { "dry" => "dry", "not_yet" => "not yet", "yes" => "yes", "again" => "again" }.freeze

  # @param entry [Entry] with its piece, revision, mix and cell at hand
  # @param names [Hash{String=>String}] product code => name
  def initialize(entry, names)
    @entry = entry
    @names = names
  end

  # @return [String] the step that it is about, or the mix, or the board
  def subject
    return @entry.mix.name if @entry.mix
    return "cell #{@entry.cell.label} of #{@entry.cell.board.name}" if @entry.cell

    step ? coat(Rhexon::Schedule::Words.step(step, @names[step["product"]])) : ""
  end

  # @return [String] what became of it
  def words
    [ KINDS.fetch(@entry.kind), Array(told).join(", ").presence ].compact.join(": ")
  end

  # @return [Array<String>] codes of the products that it names
  def products
    return @entry.mix.sheet.recipe.components.filter_map(&:product) if @entry.mix

    step ? [ step["product"], step["thinner"], *step["tint"]&.map { |part| part["product"] } ].compact : []
  rescue Rhexon::InvalidInput
    []
  end

  def person = body["person"] || body["observer"]
  def fault = body["fault"]

  # @return [Array<Integer>] ids of the cans and jars that it went into or came out of
  def batches = [ @entry.mix&.batch&.id, *StockMove.where(entry_id: @entry.id).pluck(:batch_id) ].compact.uniq

  private

  def body = @entry.body || {}

  def step
    return unless @entry.pass_key && @entry.revision

    id = @entry.pass_key.split("/")[1]
    @step ||= @entry.revision.steps.find { |one| one["id"] == id }
  end

  # What the plan puts in for a step.
  PUT_IN = { "scuff" => "scuff before", "unmask" => "tape off", "remask" => "tape on again" }.freeze
  private_constant :PUT_IN

  # Coats are counted where there are several.
  def coat(words)
    number, part = @entry.pass_key.split("/").values_at(2, 4)
    put_in = @entry.pass_key[%r{/(scuff|unmask|remask)\d*\z}, 1]
    [ put_in && PUT_IN[put_in], words, ("coat #{number}" if step["coats"].to_i > 1),
      part&.match?(/\Apieces/) ? part.sub("pieces", "pieces ") : nil ].compact.join(", ")
  end

  def told
    case @entry.kind
    when "dry_test" then [ milestone, ("on the witness glass" if body["by"] == "glass"),
                           ANSWERS[body["answer"]] ].compact
    when "tick" then "piece #{body["nth"]}"
    when "measured" then measured
    when "seen_to" then body["item"]
    when "fault" then [ fault_name, *(body["size_mm"] && format("%g mm across", body["size_mm"])),
                        *(body["cause"] && "from #{body["cause"]}"), *mending ]
    when "poured" then "#{body["name"]} #{format("%g", body["g"].to_f)} g"
    when "mixed", "discarded" then "#{format("%g", body["total_g"].to_f)} g"
    when "done" then done
    when "note" then body["sentence"] || body["words"]
    when "verdict" then body["reason"]
    when "approved" then body["name"]
    else told_beside
    end
  end

  # What is said beside the work itself.
  def told_beside
    case @entry.kind
    when "tick" then "piece #{body["nth"]}"
    when "measured" then measured
    when "seen_to" then body["item"]
    when "acknowledged" then body["cautions"]&.join(", ")&.tr("_", " ")
    end
  end

  def milestone = Rhexon::Schedule::Words::MILESTONES[body["milestone"] || "recoat_opens"]

  def done
    return ANSWERS[body["answer"]] || body["answer"] if body["answer"]
    return "#{Array(body["readings"]).join(", ")} read" if body["readings"]

    "#{format("%g", body["drops"])} drops" if body["drops"]
  end

  def measured
    [ body["comb_um"] && "comb #{body["comb_um"].map { |um| format("%g", um) }.join(", ")} µm wet",
      body["pot_g"] && format("pot %g g, then %g g", *body["pot_g"]), gun,
      body["surface_c"] && format("surface %g °C", body["surface_c"]),
      body["efflux_s"] && format("%g s through the cup", body["efflux_s"]) ].compact
  end

  def gun
    set = body["gun"] or return
    "gun " + [ set["tip_mm"] && format("tip %g mm", set["tip_mm"]), set["bar"] && format("%g bar", set["bar"]),
               set["passes"] && format("%g passes", set["passes"]) ].compact.join(", ")
  end

  def fault_name
    Rhexon::Faults::Fault.find(fault).name
  rescue Rhexon::InvalidInput
    fault
  end

  def mending = body["mending"] == Entry::LoggedFault::LEAVE ? "left as it is" : nil
end
