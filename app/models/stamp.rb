# The marks that writes leave, table by table: whatever was read once is read again only when its marks have changed.
# The database sets them itself (triggers), so that no write goes unseen: many rows at once, other processes, by hand.
class Stamp
  # Schedules and their revisions leave none: what is read of them goes by the revision.
  TABLES = %w[
    shops people open_hours rooms climate_readings tools products consumables boards cells readings jobs pieces
    faces timbers entries batches stock_moves mixes forgotten_lessons
  ].freeze
  # Written by the plan that is made from all the others.
  PLANNED = "planned_passes".freeze

  class << self
    # @return [Stamp] read once in a request, and again after a write in it
    def current = Current.stamp ||= read

    # @return [Stamp] as it is now
    def read
      Current.stamp = new(ApplicationRecord.connection.select_rows("SELECT name, mark FROM marks").to_h)
    end

    # A record was written: the marks are others now.
    def forget
      Current.stamp = nil
    end
  end

  # @param marks [Hash{String=>Integer}] by table
  def initialize(marks)
    @marks = marks.freeze
  end

  # @param tables [Array<String>]
  # @return [Array<Integer, nil>] equal as long as nothing was written to them; nil: nothing ever was
  def of(*tables) = @marks.values_at(*tables)

  # @return [Hash{Integer=>Integer}] of the pieces that something was logged about, by their log
  def logs
    @logs ||= @marks.filter_map { |name, mark| (id = name[LOG, 1]) && [ id.to_i, mark ] }.to_h
  end
  LOG = %r{\Aentries/(\d+)\z}
  private_constant :LOG

  # @return [Array<Integer, nil>] of everything that plans are made from
  def all = of(*TABLES)
end
