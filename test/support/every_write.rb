require_relative "../../core/test/test_share"
require_relative "every_route"
require_relative "shop_records"

# Reads every page of a shop and sends to it what every page may send, as its owner, on this machine. Run by bin/rails
# runner in the demo's way of signing in; prints one line of JSON: what was answered with a fault.
class EveryWrite
  include ShopRecords
  include EveryRoute

  # What begins a shop, ends a session, puts another one in its place, or comes with a token.
  LEFT_OUT = %r{\A\w+ /(begin|sign_in|me|readings|shop/backups|shop/person/:person_id/account)}

  def initialize
    # Before there were roles nobody was the owner: who runs the shop says so with a code from its computer.
    Person.order(:id).first.update!(role: "owner") unless Person.exists?(role: "owner")
    @piece = Piece.in_hand.joins(:schedule).order(:id).find { |piece| piece.schedule.steps.any? }
    @entry = Entry.where(piece: @piece).order(:id).last || Entry.order(:id).last
    @board = Board.joins(:cells).order(:id).first
    @cell, @other = @board.cells.first(2)
    @photo = Photo.first
    @mix = Mix.first
    @can = Batch.first
    @recipe = Template.first
    @wren = Person.order(:id).last
    @link, @token = GuestLink.make!("handover", @piece)
  end

  # @return [Array<String>]
  def failing
    ActionController::Base.allow_forgery_protection = false
    session = ActionDispatch::Integration::Session.new(Rails.application)
    session.host! "localhost"
    writing = routes.reject { |verb, path| verb == "GET" || "#{verb} #{path}".match?(LEFT_OUT) }
    all = writing.flat_map { |verb, pattern| bodies.fetch("#{verb} #{pattern}").map { |body| [ verb, pattern, body ] } }
    TestShare.of("every write", all).filter_map do |verb, pattern, body|
      status = session.process(verb.downcase.to_sym, filled(pattern), params: JSON.generate(body),
                               headers: { "ACCEPT" => "application/json", "CONTENT_TYPE" => "application/json" })
      "#{verb} #{pattern}: #{status}" if status >= 500 || status == 401
    end
  end
end

pages = Shop::Backup::PageReader.new(each: TestShare.full? ? 3 : 1).failing.keys
findings = Shop::Doctor.new.findings(%i[file structure pieces entries]).reject(&:good).map(&:sentence)
puts({ pages: pages, findings: findings, writes: EveryWrite.new.failing,
       after: Shop::Doctor.new.findings(%i[file pieces entries]).reject(&:good).map(&:sentence) }.to_json)
