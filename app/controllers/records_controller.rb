# The record: what happened in the shop, found by words, piece, product, can, person, fault and day.
class RecordsController < ApplicationController
  takes_long :show

  def show
    respond_to do |format|
      format.html { render inertia: "Record", props: state.to_h }
      format.json { file_of(:json) { |export| JSON.pretty_generate(export.json) } }
      format.csv { file_of(:csv, &:csv) }
    end
  end

  private

  def looked_for = @looked_for ||= Record::Query.new(Record::Query::FIELDS.index_with { |name| query(name) })
  def state = RecordState.new(looked_for, query(:page))

  # All that is looked for, not only the page that is seen.
  def file_of(format)
    export = Record::Export.new(Record::Line.of(looked_for.entries.limit(Record::Query::MOST)))
    send_data yield(export), filename: "rhexon-record-#{Shop.current.clock.date(Time.current.to_i / 60)}.#{format}",
                             type: format
  end
end
