require "application_system_test_case"

# Every page at the widths of a laptop, two larger screens, a tablet and a phone, in both units, with long names.
class WidthsTest < ApplicationSystemTestCase
  WIDTHS = [ [ 1280, 800 ], [ 1440, 900 ], [ 1920, 1080 ], [ 820, 1180 ], [ 390, 844 ] ].freeze
  LOOK = Rails.root.join("test/support/page_faults.js").read

  setup do
    stock_two_part
    long = "Reading-room counter with its returns and the pilasters"
    @piece = make_piece(name: long, target_lab: [ 35, 20, 23 ],
                        steps: [ { "id" => "s0", "kind" => "stain", "product" => "russet", "method" => "wipe" },
                                 coat("s1", product: "seal", wet_um: 80, role: "seal"), coat("s2", coats: 3) ])
    make_piece(name: "Stool", steps: [ coat("s1") ])
    Template::Kept.new(name: long, says: long).piece!(@piece)
    log(@piece, "s0/1/top", "done", 30.minutes.ago)
    @board = Board.create!(name: "Board 7", piece: @piece, wood: "oak", grain: "open", width_mm: 400, height_mm: 300,
                           made_on: Date.current)
    # So many that they come by pages.
    24.times do |at|
      Board.create!(name: "#{long} #{at}", wood: "pale ash of the northern slope", grain: "open", width_mm: 400,
                    height_mm: 300, made_on: Date.current - 1)
    end
    %w[moisture comb].each { |kind| Instrument.begin!(name: "#{long} #{kind}", kind: kind, stand_in: "none") }
    Piece::ClassGiven.new(@piece).give!([ "Ilse", "Maximiliane von der Nordermeer-Hansen" ], count: 8)
    2.times { |index| @board.cells.create!(label: (index + 1).to_s, position: index, layers: [ coat("s1") ]) }
  end

  teardown { page.driver.browser.execute_cdp("Emulation.clearDeviceMetricsOverride") }

  test "nothing is cut, wider than the page, over other words, or too small for a finger" do
    visit "/away"
    drawn = TestShare.of(name, pages.product(%w[metric us]), most_parts: 8)
    faults = drawn.sort_by(&:last).flat_map do |path, units|
      page.execute_script("localStorage.setItem('rhexon.units', '#{units}')")
      visit path
      assert_selector "main"
      WIDTHS.flat_map { |width, height| faults_at(path, units, width, height) }
    end
    assert_empty faults.uniq, faults.uniq.join("\n")
  end

  state "each of the faults is found where it is" do
    visit "/bench"
    assert_selector "h1", text: "Bench"
    page.execute_script(<<~JS)
      // Styles that stand in what is written into a page are not let in.
      document.querySelector("main").insertAdjacentHTML("beforeend", `
        <p data-so="width:80px;overflow:hidden;white-space:nowrap">words that go on behind the edge</p>
        <p data-so="width:3000px">far too wide</p>
        <p data-so="height:0;overflow:visible;line-height:20px">one</p><p>other</p>
        <button data-so="height:20px">small</button>`)
      for (const element of document.querySelectorAll("[data-so]")) element.style.cssText = element.dataset.so
    JS
    found = faults_at("/bench", "metric", 1280, 800).join(" ")
    assert_match(/wider than the page.*cut: p.*over each other: "other" and "one".*small, \d+ x 20: button. "small"/,
                 found)
    page.execute_script("document.querySelector('.page-first').style.setProperty('display', 'grid', 'important')")
    assert_includes faults_at("/bench", "metric", 390, 844).join(" "), "2 rails"
  end

  private

  def pages
    [
      "/bench", "/pieces", "/pieces/new", "/pieces/#{@piece.id}/edit", "/pieces/#{@piece.id}/schedule", "/pieces/plan",
      "/pieces/compare?piece=#{@piece.id}&with[]=method:brush", "/pieces/area", "/boards",
      "/boards?page=2", "/boards?words=nothing+of+that+long+name+anywhere+on+any+board", "/boards/new",
      "/boards/colour", "/boards/#{@board.id}", "/trials/new?piece=#{@piece.id}", "/mix", "/shelf",
      "/shelf?view=batches", "/shelf?view=shopping", "/products/w20", "/products/new", "/batches/#{Batch.first.id}",
      "/shop", "/sums", "/handbook", "/shelf/over", "/pieces/#{Piece.last.id}/ways",
      "/pieces/#{@piece.id}/quote", "/pieces/#{@piece.id}/ways", "/pieces/book?piece=#{Piece.last.id}",
      "/record", "/record?words=stool&from=2026-11-01", "/record/figures", "/record/recurs",
      "/record/hours", "/bench/day", "/shop/backups", "/shop/settings", "/away", "/pieces/#{@piece.id}/class", "/me",
      "/pieces/#{@piece.id}/handover", "/jobs/#{@piece.job_id}/handover?names=yes"
    ]
  end

  def faults_at(path, units, width, height)
    page.driver.browser.execute_cdp("Emulation.setDeviceMetricsOverride", width: width, height: height,
                                                                          deviceScaleFactor: 1, mobile: false)
    sleep 0.25
    page.evaluate_script("(() => { #{LOOK} })()").map { |fault| "#{path} #{width} #{units}: #{fault}" }
  end
end
