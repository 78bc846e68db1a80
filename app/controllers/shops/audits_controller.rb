require "csv"

# What happened around the way in, for the owner: newest first, all of it or what was refused, and as a file.
class Shops::AuditsController < ApplicationController
  TO_A_PAGE = 60
  COLUMNS = %w[at kind person by device address detail].freeze

  def show
    respond_to do |format|
      format.html { page("Audit", AuditPageSerializer, told) }
      format.csv { send_data csv, filename: "rhexon-audit-#{day}.csv", type: "text/csv" }
    end
  end

  private

  def refused? = query(:refused) == "yes"

  def lines
    all = AuditLine.includes(:person).order(id: :desc)
    refused? ? all.where(kind: AuditLine::REFUSED) : all
  end

  def told
    list = ListPage.new(lines, query(:page), size: TO_A_PAGE)
    { lines: list.records, page: list, refused: refused?, zone: Shop.current.zone, now: Time.current.to_i / 60 }
  end

  def csv
    rows = lines.map do |line|
      [ line.at.iso8601, line.kind, line.person&.name, line.by, line.device, line.address, JSON.generate(line.detail) ]
    end
    CSV.generate { |out| [ COLUMNS, *rows ].each { |row| out << row.map { |cell| Spreadsheet.harmless(cell) } } }
  end

  def day = Shop.current.clock.date(Time.current.to_i / 60).iso8601
end
