require "application_system_test_case"

# A day at the bench, from its air to its evening, with instruments that fail on the way.
class BenchDayTest < ApplicationSystemTestCase
  setup do
    @piece = make_piece(steps: [ coat("s1", product: "seal", method: "brush", wet_um: 60, role: "seal"),
                                 coat("s2", coats: 2) ], count: 3)
    read_cautions(@piece)
    @wall, = Instrument.begin!(name: "Wall", room: Room.first, stand_in: "none")
    @comb, = Instrument.begin!(name: "Bench comb", kind: "comb", stand_in: "none")
    Instrument::Watch.once
  end

  test "a day with instruments failing" do
    the_air_was_read
    a_coat_is_ticked_and_measured
    a_fault_is_asked_about
    the_glass_says_dry
    the_evening_is_seen_to
    the_record_tells_it
    assert_quiet_console(except: /422/)
  end

  def the_air_was_read
    visit "/bench"
    assert_text "bench, read"
    @wall.update!(stand_in: "disconnected")
    @wall.readings.delete_all
    @wall.readings.create!(at: 2.hours.ago, t_c: 20, rh: 50)
    visit "/bench"
    assert_text "bench, nothing read for 2 h 00"
    visit "/shop"
    assert_text "nothing new since: look at its battery and its link"
  end

  def a_coat_is_ticked_and_measured
    visit "/bench"
    click_on "Start"
    assert_text "In hand: seal, Orrin dewaxed shellac"
    assert_accessible
    click_on "Piece 1 is finished: tick"
    press "t"
    assert_text "2 of 3 finished"
    click_on "Take back: a tick of seal"
    assert_text "1 of 3 finished"
    [ 2, 3 ].each { |nth| click_on "Piece #{nth} is finished: tick" }
    measure_with_a_comb_that_fails
    click_on "Done"
    assert_sent
    assert_equal %w[started tick tick correction tick tick measured done], touched
  end

  # The comb does not answer; what it would have read is touched on its teeth.
  def measure_with_a_comb_that_fails
    @comb.update!(stand_in: "disconnected")
    click_on "Measure"
    within "[role=dialog]" do
      assert_text "Bench comb has sent nothing yet"
      click_on "Read"
      assert_text "The bench comb does not answer: look at its battery and its link."
      assert_accessible
      2.times { click_on "60", exact: true }
      assert_text "60, 60 µm: 60 µm wet"
      fill_in "Surface, °C", with: "17,5"
      click_on "Take it down"
    end
    assert_no_selector "[role=dialog]"
    assert_sent
    assert_equal({ "comb_um" => [ 60, 60 ], "surface_c" => 17.5 }, Entry.find_by(kind: "measured").body)
  end

  def a_fault_is_asked_about
    click_on "A fault on Desk top"
    within "[role=dialog]" do
      select "Runs or sags: curtains on edges and upright faces", from: "It shows"
      assert_text "60 µm wet by the comb"
      assert_text "Was retarder or a slow thinner in it?"
      click_on "Yes"
      assert_text "as you say"
      assert_accessible
      click_on "Leave as is"
    end
    assert_sent
    assert_equal({ "fault" => "runs", "mending" => "leave", "cause" => "slow solvent",
                   "answers" => { "slow solvent" => true } }, Entry.find_by(kind: "fault").body)
  end

  def the_glass_says_dry
    click_on "By the witness glass"
    assert_text "Is the drop on the glass hard right through?"
    click_on "Dry"
    assert_sent
    assert_equal({ "answer" => "dry", "milestone" => "recoat_opens", "by" => "glass" },
                 Entry.find_by(kind: "dry_test").body)
  end

  def the_evening_is_seen_to
    click_on "Morning and evening"
    assert_text "Clean brush with spirit: Orrin dewaxed shellac."
    assert_text "1 of 1 still to be seen to"
    click_on "Clean brush with spirit: Orrin dewaxed shellac. Seen to"
    assert_text "All is seen to: the day is closed."
    assert_sent
    assert_accessible
    visit "/bench/day"
    assert_text "All is seen to: the day is closed."
  end

  def the_record_tells_it
    visit "/record"
    [ "finished: piece 2", "measured: comb 60, 60 µm wet, surface 17.5 °C", "from slow solvent",
      "on the witness glass, dry", "seen to: Clean brush" ].each { |words| assert_text words }
  end

  test "the large view, timers that ring and survive a reload, and a bench of one's own" do
    Person.create!(name: "Osei")
    visit "/bench"
    click_on "Large"
    assert_selector ".large-figure"
    size = evaluate_script("parseFloat(getComputedStyle(document.querySelector('.large-figure')).fontSize)")
    assert_operator size, :>=, 92
    small = evaluate_script("[...document.querySelectorAll('.large-view button')].filter((one) => " \
                            "one.getBoundingClientRect().height < 64).map((one) => one.textContent)")
    assert_empty small
    assert_accessible
    click_on "Timers"
    within("[role=dialog]") { click_on "5 min", exact: true }
    execute_script("const kept = JSON.parse(localStorage.getItem('rhexon.timers')); " \
                   "for (const one of Object.values(kept)) one.at = Date.now() - 1000; " \
                   "localStorage.setItem('rhexon.timers', JSON.stringify(kept))")
    visit "/shelf"
    assert_selector ".ringing", text: "5 min are over"
    click_on "Heard"
    assert_no_selector ".ringing"
    visit "/bench"
    click_on "All of the bench"
    select "Osei", from: "Whose bench"
    assert_text "Osei works to"
    visit "/bench"
    assert_text "Osei works to"
  end

  test "a class gets a piece each, and each has a bench of their own" do
    visit "/pieces/#{@piece.id}/class"
    assert_text "Given to nobody yet"
    fill_in "Names, one to a line", with: "Ilse\nJorn\nMaren"
    click_on "Give it to 3"
    assert_text "3 people, 3 each; nobody is behind"
    assert_selector ".class-rows tbody tr", count: 3
    assert_accessible
    assert_button "Give it", disabled: true
    visit "/bench"
    select "Jorn", from: "Whose bench"
    assert_text "Desk top, Jorn"
    assert_no_text "Desk top, Ilse"
    assert_quiet_console
  end
end
