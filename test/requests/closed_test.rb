require "test_helper"
require_relative "../support/every_route"

# Work on a job that is closed, and on a piece that is put away: it can be read, nothing changes it, and each refusal
# says why and what opens it again.
class ClosedTest < RequestTest
  include EveryRoute

  # What may be done with it all the same: opened again or restored, shown to the client, copied for other work; the
  # terms of the shop, a photo of a board, and what is only reckoned.
  ALLOWED = [ "PATCH /jobs/:id", "DELETE /pieces/:piece_id/removal", "POST /links", "POST /pieces/book",
              "POST /pieces/:piece_id/quote", "POST /photos", "POST /trials/preview" ].freeze

  setup { set_up_everything }

  # Bodies and addresses that name the piece, its board or its coats.
  def naming
    bodies.flat_map { |route, all|
      verb, pattern = route.split(" ", 2)
      all.filter_map { |body| [ route, verb, filled(pattern), body ] if about?(pattern, body) }
    }.reject { |route, *| ALLOWED.include?(route) }
  end

  def about?(pattern, body)
    pattern.include?("/pieces/:piece_id") || pattern == "/pieces/:id" || pattern.end_with?("/approval") ||
      body[:pass] || body[:piece_id] || body[:piece]
  end

  def state = [ Revision, Entry, Mix, Photo, Trial, Board, GivenQuote, Piece, Face, Schedule ].map { |model|
    [ model.name, model.order(:id).map { |one| one.attributes.except("updated_at") } ]
  }

  def tried(verb, path, body = nil)
    ApplicationRecord.transaction(requires_new: true) do
      body ? send_json(path, body, verb.downcase) : get(path, headers: { "ACCEPT" => "application/json" })
      yield
      raise ActiveRecord::Rollback
    end
    ShopFloor.forget
    Rails.cache.clear
  end

  def refused_and_unchanged
    before = state
    wrong = naming.filter_map do |route, verb, path, body|
      told = nil
      tried(verb, path, body) do
        changed = state.zip(before).reject { |now, was| now == was }.map { |now, _| now.first }
        said = response.media_type == "application/json" && answer.is_a?(Hash) ? sentence.to_s : ""
        next if response.status.between?(400, 499) && changed.empty? && said.match?(/closed|archived|deleted/)

        told = "#{route} #{body.to_s.first(60)}: #{response.status} #{said.first(100)} changed #{changed}"
      end
      told
    end
    assert_empty wrong, wrong.join("\n")
  end

  def read_without_fault
    reading = routes.filter_map { |verb, pattern| pattern if verb == "GET" }
    wrong = TestShare.of(name, reading, most_parts: 4).filter_map do |pattern|
      told = []
      [ "", "?piece=#{@piece.id}&with[]=#{@piece.id}" ].each do |query|
        tried("GET", filled(pattern) + query) { told << response.status }
      end
      "#{pattern}: #{told}" if told.any? { |status| status >= 500 }
    end
    assert_empty wrong, wrong.join("\n")
  end

  test "a closed job is read only" do
    @piece.job.update!(closed_at: Time.current)
    refused_and_unchanged
    read_without_fault
  end

  test "a piece that is put away is read only" do
    @piece.update!(put_away_at: Time.current)
    refused_and_unchanged
    read_without_fault
  end
end
