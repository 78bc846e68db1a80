require "test_helper"
require_relative "../support/every_route"

# A student names somebody else's records: in the address, in the query and in the body, however the number is written.
# Nothing of them is shown, copied or changed.
class NamedRecordsTest < RequestTest
  include EveryRoute

  # Fields that name a record, with the kind of record; "*" stands for the forms of its number.
  FIELDS = {
    piece_id: :piece, layers_from: :piece, base_from: :piece, piece: :piece, cell_id: :cell, cell: :cell,
    winner: :cell, loser: :cell, photo: :photo, board: :board, corrects: :entry, entry: :entry
  }.freeze
  QUERIES = {
    "/pieces/compare" => %i[piece with], "/pieces/compare/chances" => %i[piece with], "/boards/colour" => %i[piece],
    "/boards/colour/step?kind=stain" => %i[piece_id], "/trials/new" => %i[piece], "/faults/runs" => %i[pass],
    "/patch?mm=20" => %i[pass], "/boards/new" => %i[piece], "/bench" => %i[hands piece], "/pieces/levels" => %i[piece]
  }.freeze
  # Of theirs alone: words and a thickness that nothing else here has.
  MARK = /Zebrano|"wet_um":\s*77\b/

  setup do
    set_up_everything
    Rails.configuration.x.demo = false
    Person.find_by!(name: "Imke").update!(password: "elm and old oak")
    @student = Person.create!(name: "Osei", role: "student", at_bench: false)
    Piece.update_all(person_id: @student.id)
    Mix.update_all(pass_keys: [ "#{@piece.core_id}/s1/1/top" ])
    set_up_theirs
    sign_in_as(@student)
  end

  teardown { Rails.configuration.x.demo = true }

  def set_up_theirs
    @theirs = { piece: make_piece(name: "Zebrano chest", steps: [ coat("s1", coats: 2, wet_um: 77) ]) }
    piece = @theirs[:piece]
    piece.job.update!(client: "Zebrano house")
    board = Board.create!(name: "Zebrano board", wood: "elm", grain: "open", width_mm: 400, height_mm: 300,
                          made_on: Date.new(2026, 11, 1), piece: piece)
    cell, other = Array.new(2) do |index|
      board.cells.create!(label: (index + 1).to_s, position: index, layers: [ coat("s1", wet_um: 77) ])
    end
    trial = Trial.create!(name: "Zebrano trial", piece: piece, base: [ coat("s1", wet_um: 77) ],
                          factors: [ { "name" => "coats", "step" => "s1", "field" => "coats", "levels" => [ 1, 2 ] } ])
    entry = log(piece, "s1/1/top", "done", 1.hour.ago)
    mix = Mix::Start.alone!({ "product" => "w20", "want" => { "amount" => "500 ml" } })
    mix.update!(pass_keys: [ "#{piece.core_id}/s1/2/top" ])
    photo = Photo.take!(StringIO.new(picture), client_id: "z", words: "Zebrano", cell: cell)
    @theirs.update(board: board, cell: cell, other: other, trial: trial, entry: entry, mix: mix, photo: photo,
                   job: piece.job)
  end

  # How a number may be written, and one of another shop, which is nobody's here.
  def forms(id) = [ id, id.to_f, id.to_s, [ id ], "#{id} ", "#{id}.0", "0#{id}", id + 900_000 ]

  # What stands of theirs, and what of it stands elsewhere.
  def standing
    piece, cells = @theirs[:piece], [ @theirs[:cell], @theirs[:other] ]
    [
      Entry.where(piece: piece).count, piece.schedule.reload.revisions.count, Board.where(piece: piece).count,
      Trial.where(piece: piece).pluck(:target_lab, :weights),
      Photo.where(cell: cells).or(Photo.where(piece: piece)).count,
      Cell.where(id: cells).pluck(:layers, :ruined), Reading.where(cell: cells).count, PairPick.count,
      Mix.where("pass_keys LIKE ?", "%#{piece.core_id}/%").pluck(:id, :closed_at), @theirs[:mix].entries.count,
      Cell.where.not(board: @theirs[:board]).where("layers LIKE '%77%'").count,
      Revision.where.not(schedule: piece.schedule).where("document LIKE '%77%'").count
    ]
  end

  # @return [String, nil] what went wrong
  def asked(words, verb, path, body = nil)
    before = standing
    told = nil
    ApplicationRecord.transaction(requires_new: true) do
      process(verb.downcase.to_sym, path, params: body && JSON.generate(body),
                                          headers: body ? JSON_HEADERS : JSON_HEADERS.slice("ACCEPT"))
      told = response.body.match?(MARK) ? "tells of them" : ("changes something" if standing != before)
      told ||= response.status if response.status >= 500
      raise ActiveRecord::Rollback
    end
    "#{words}: #{told}" if told
  ensure
    Shelf.forget
    Rails.cache.clear
  end

  test "in the address" do
    assert_refused TestShare.of("named in the address", addresses)
  end

  test "in the body" do
    assert_refused TestShare.of("named in the body", named_in_bodies)
  end

  test "in the query" do
    assert_refused TestShare.of("named in the query", named_in_queries)
  end

  def assert_refused(requests)
    assert_empty requests.filter_map { |request| asked(*request) }, "something of somebody else's is shown or changed"
  end

  # @return [Array] words, verb, path and body: each record of a path theirs, in each form
  def addresses
    routes.flat_map do |verb, pattern|
      body = bodies.fetch("#{verb} #{pattern}", [ nil ]).first
      pattern.scan(/:(\w+)_id|(\w+)\/:id/).map(&:compact).flatten.flat_map do |name|
        record = @theirs[{ "pieces" => :piece, "boards" => :board, "jobs" => :job, "photos" => :photo, "mix" => :mix,
                           "trials" => :trial, "cells" => :cell }.fetch(name, name.to_sym)] or next []
        forms(record.id).grep_v(Array).map do |form|
          path = filled(pattern.sub(/:#{name}_id|(?<=#{name}\/):id/, CGI.escapeURIComponent(form.to_s)))
          [ "#{verb} #{pattern} #{name} #{form.inspect}", verb, path, body ]
        end
      end
    end
  end

  def named_in_bodies
    bodies.flat_map do |route, all|
      verb, pattern = route.split(" ", 2)
      all.each_with_index.flat_map do |body, index|
        changed(body).map { |words, given| [ "#{route} #{index} #{words}", verb, filled(pattern), given ] }
      end
    end
  end

  # A body with one field after another naming something of theirs.
  def changed(body)
    fields = body.keys & FIELDS.keys
    changed = fields.flat_map do |field|
      forms(@theirs[FIELDS[field]].id).map { |form| [ "#{field} #{form.inspect}", body.merge(field => form) ] }
    end
    changed << [ "pass", body.merge(pass: their_pass) ] if body.key?(:pass)
    changed << [ "corrects_touch", body.merge(corrects_touch: @theirs[:entry].client_id) ] if body.key?(:corrects)
    changed
  end

  def their_pass = "#{@theirs[:piece].core_id}/s1/1/top"

  def named_in_queries
    QUERIES.flat_map do |path, names|
      names.flat_map do |name|
        values = name == :pass ? [ their_pass, "#{@theirs[:piece].core_id}/s1/2/top" ] : forms(@theirs[:piece].id)
        values = [ [ "piece:#{@theirs[:piece].id}" ], "piece:#{@theirs[:piece].id}" ] if name == :with
        values = [ "Imke" ] if name == :hands
        values.map { |value| [ "#{path} #{name} #{value.inspect}", "GET", with(path, name => value) ] }
      end
    end
  end

  def with(path, query) = "#{path}#{path.include?("?") ? "&" : "?"}#{query.to_query}"
end
