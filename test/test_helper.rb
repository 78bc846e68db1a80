ENV["RAILS_ENV"] ||= "test"
require_relative "../core/test/test_coverage"
require_relative "../core/test/test_share"
require_relative "../config/environment"
require "rails/test_help"
require_relative "support/shop_records"

class ActiveSupport::TestCase
  include ShopRecords

  setup do
    travel_to MONDAY
    Rails.cache.clear # in which tries are counted
    ShopFloor.forget
  end
end

# Requests as the pages make them: JSON in, JSON out.
class RequestTest < ActionDispatch::IntegrationTest
  JSON_HEADERS = { "CONTENT_TYPE" => "application/json", "ACCEPT" => "application/json" }.freeze

  # With a signed cookie as the server would have set it.
  def sign_in_as(person)
    _, token = Session.begin!(person, device: "test")
    jar = ActionDispatch::Request.new(Rails.application.env_config.deep_dup).cookie_jar
    jar.signed["rhexon_session"] = token
    cookies["rhexon_session"] = jar["rhexon_session"]
  end

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
