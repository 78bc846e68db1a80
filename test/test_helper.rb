ENV["RAILS_ENV"] ||= "test"
require "fileutils"
require_relative "../core/test/line_coverage"
LineCoverage.start(File.expand_path("../app", __dir__), File.expand_path("../tmp/coverage/workers", __dir__))
require_relative "../config/environment"
require "rails/test_help"
require_relative "support/shop_records"

class ActiveSupport::TestCase
  include ShopRecords

  # Each worker has its own database; a file by itself runs in one.
  # The database of each worker is made anew. Those of an earlier run would have all their tables emptied, and with them
  # those that the index of words stands on.
  Rails.root.glob("storage/test.sqlite3-[0-9]*").each(&:delete)
  parallelize workers: 2
  parallelize_teardown { LineCoverage.leave }

  setup do
    travel_to MONDAY
    Rails.cache.clear # in which tries are counted
    ShopFloor.forget
  end
end

# Requests as the pages make them: JSON in, JSON out.
class RequestTest < ActionDispatch::IntegrationTest
  JSON_HEADERS = { "CONTENT_TYPE" => "application/json", "ACCEPT" => "application/json" }.freeze

  def send_json(path, body, verb = :post) = public_send(verb, path, params: body.to_json, headers: JSON_HEADERS)
  def answer = JSON.parse(response.body)
  def sentence = answer.dig("error", "sentence")

  def edit(piece, operation, base: nil, **more)
    send_json("/pieces/#{piece.id}/schedule/edits",
              { operation: operation, base: base || piece.schedule.reload.head.number, **more })
  end

  # Props of an Inertia page.
  def props
    JSON.parse(Nokogiri::HTML(response.body).at_css("script[data-page]").text)["props"]
  end
end
