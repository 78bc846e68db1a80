require "application_system_test_case"

class SavedPictureTest < ApplicationSystemTestCase
  setup do
    @folder = Dir.mktmpdir("rhexon-saved")
    page.driver.browser.execute_cdp("Browser.setDownloadBehavior", behavior: "allow", downloadPath: @folder)
    @piece = make_piece(steps: [ coat("s1", coats: 3) ])
  end

  teardown { FileUtils.rm_rf(@folder) }

  test "the film of a schedule as a drawing that stands by itself" do
    visit "/pieces/#{@piece.id}/schedule"
    from_menu "Save picture as SVG"
    drawing = Nokogiri::XML(saved("desk-top-top-film.svg")) { |how| how.strict }
    text = drawing.to_xml
    assert_includes drawing.text, "Desk top, film on top"
    assert_includes drawing.text, "Coat 3"
    assert_includes drawing.text, "too soon"
    refute_match(/var\(--|class=|data-overlay/, text.gsub(/@font-face.*?<\/style>/m, ""))
    assert_match(%r{@font-face\{font-family:"Saira Variable".*?url\(data:font/woff2;base64,}, text)
    used = text.scan(/url\(#([\w-]+)\)/).flatten.uniq
    assert_includes used, "open"
    assert_equal used.sort, (used & drawing.xpath("//*[@id]").map { |node| node["id"] }).sort
  end

  state "plan, comparison and board as pictures of dots" do
    board = Board.create!(name: "Board 7", piece: @piece, wood: "oak", grain: "open", width_mm: 400, height_mm: 300,
                          made_on: Date.current)
    2.times { |index| board.cells.create!(label: (index + 1).to_s, position: index, layers: [ coat("s1") ]) }
    {
      "/pieces/plan" => /\Ashop-plan-.*png\z/, "/pieces/compare?piece=#{@piece.id}" => "desk-top-compared.png",
      "/boards/#{board.id}" => /\Aboard-.*png\z/
    }.each do |path, name|
      visit path
      click_on "Save picture"
      find("[role=menuitem]", text: "Save picture as PNG").click
      head = saved(name).byteslice(0, 24)
      assert_equal "\x89PNG\r\n\x1A\n".b, head.byteslice(0, 8), path
      width, height = head.byteslice(16, 8).unpack("N2")
      assert_operator width, :>, 800, path
      assert_operator height, :>, 300, path
    end
    assert_quiet_console
  end

  private

  # What the browser kept, once it is whole.
  def saved(name)
    page.document.synchronize(15, errors: [ Capybara::ExpectationNotMet ]) do
      found = Dir.children(@folder).find { |file| name === file } or raise Capybara::ExpectationNotMet
      File.binread(File.join(@folder, found))
    end
  end
end
