# frozen_string_literal: true

RSpec.describe "A profile" do
  def horizons = Profile.last.horizons.map { |one| [one.designation, one.upper_cm.to_f, one.lower_cm.to_f] }

  it "is described from nothing by keyboard: four horizons in the table, colour and mottles among them" do
    visit "/"
    tab_to("Add the first site").send_keys(:enter)
    tab_to("Name").send_keys("Low Meadow")
    tab_to("Position").send_keys("47°55'04.8\"N 15°12'14.4\"E", :enter)
    expect(page).to have_css("h2", text: "New profile at Low Meadow")
    tab_to("Open the profile").send_keys(:enter)
    expect(page).to have_css("h1", text: "Low Meadow 1")
    expect(Site.last.seen).to include("latitude" => 47.918, "longitude" => 15.204)
    tab_to("More").send_keys(:enter)
    type(:arrow_down, :arrow_up, :enter)
    expect(page).to have_css("h1", text: "table of horizons")
    rows = [["Ap", "0", "18"], ["E", "18", "32,5"], ["Bt", "32,5", "66"], %w[C 66 110]]
    tab_to("Horizon, row 1")
    rows.each_with_index do |row, _at|
      row.each_with_index do |text, column|
        type(*text.chars)
        type(:arrow_right) if column < 2
      end
      type(:enter, :arrow_left, :arrow_left) unless row == rows.last
    end
    type(
      :arrow_up,
      :arrow_right,
      :arrow_right,
      :arrow_right,
      *"7.5YR 4/4".chars,
      :arrow_right,
      :arrow_right,
      *"common, 2 to under 20 %".chars,
      :arrow_right,
      *"grey".chars
    )
    type_with_control("s")
    expect(page).to have_text("4 horizons are saved.")
    expect(horizons).to eq [["Ap", 0, 18], ["E", 18, 32.5], ["Bt", 32.5, 66], ["C", 66, 110]]
    expect(axe_violations).to be_empty
    visit "/profiles/#{Profile.last.id}"
    expect(page).to have_css("[data-wetness]", text: "Seasonal wetness from about 32.5 cm: Bt has common grey mottles")
    expect(page).to have_css("[data-chip='7.5YR 4/4']")
  end

  def type_with_control(key) = chromium.action.key_down(:control).send_keys(key).key_up(:control).perform

  it "is added to where a gap is pressed, and by keyboard" do
    profile = profile_with(["A", 0, 20], ["C", 60, 90])
    visit "/profiles/#{profile.id}"
    find("[data-gap='20']").click
    expect([find_field("Upper depth").value, find_field("Lower depth").value]).to eq %w[20 60]
    click_button "Close"
    tab_to(/No horizon from 20 to 60 cm. Add one there/).send_keys(:enter)
    fill_in "Designation", with: "B"
    click_button "Add the horizon"
    expect(page).to have_css("[data-horizon='B']").and have_no_css("[data-gap]")
  end

  it "takes lines of a spreadsheet in its table, names what is wrong at its cell, and loses nothing" do
    profile = profile_with(["A", 0, 20])
    visit "/profiles/#{profile.id}/table"
    paste = <<~JS
      const clipboard = new DataTransfer()
      clipboard.setData('text/plain', arguments[0])
      arguments[1].dispatchEvent(new ClipboardEvent('paste', { clipboardData: clipboard, bubbles: true }))
    JS
    page.execute_script(paste, "A\t0\t20\nB\t20\tdeep\nC\t60\t90\tabrupt\n", find("[data-cell='0-0']"))
    click_button "Save the table"
    expect(page).to have_text("Lower depth is a number of cm from 0 to 1000, not deep.")
    expect(find("[data-cell='2-3']").value).to eq "abrupt"
    find("[data-cell='1-2']").set("60")
    click_button "Save the table"
    expect(page).to have_text("3 horizons are saved.")
    expect(Profile.last.horizons.map(&:boundary)).to eq [nil, nil, "abrupt"]
  end

  it "has a card for each horizon at the pit: one press an answer, carried down from above" do
    profile = profile_with(["A", 0, 20], ["B", 20, 50])
    at_size(*Browser::PHONE)
    visit "/profiles/#{profile.id}/horizons/#{profile.horizons.first.id}"
    click_button "Roots, fauna, coarse fragments"
    within("[role='group'][aria-label='Roots']") { click_button "Many" }
    expect(page).to have_css("button[aria-pressed='true']", text: "Many")
    fill_in "Earthworms", with: "lots"
    find("input#card-earthworms").send_keys(:tab)
    expect(page).to have_css("[role='alert']", text: "Earthworms is a number from 0 to 500, not “lots”.")
    fill_in "Earthworms", with: "7"
    click_link "B ›"
    expect(page).to have_css("h1", text: "20 to 50 cm")
    click_button "As in A: roots"
    click_button "Roots, fauna, coarse fragments"
    expect(page).to have_css("button[aria-pressed='true']", text: "Many")
    within("nav[aria-label='What is described']") { click_button "Colour" }
    fill_in "Colour, moist", with: "10yr 5/2"
    find_field("Colour, moist").send_keys(:tab)
    expect(page).to have_css("svg[aria-label='Colour 10YR 5/2']")
    expect(profile.horizons.reload.map(&:seen)).to eq [{ "roots" => "many", "earthworms" => 7 }, { "roots" => "many" }]
    click_button "Next horizon below"
    expect(find_field("Upper depth").value).to eq "50"
    heights =
      page.evaluate_script("[...document.querySelectorAll('main button')].map((e) => e.getBoundingClientRect().height)")
    expect(heights).to all(be >= 55)
    expect(axe_violations).to be_empty
  end

  it "carries pH at five depths in two horizons, with the caution at the reagents, and crumbs look by look" do
    profile = profile_with(["A", 0, 30], ["B", 30, 90])
    visit "/profiles/#{profile.id}"
    click_button "Take samples"
    fill_in "Depths", with: "2, 15, 30, 50, 80"
    expect(page).to have_css("[data-caution='reagent']", text: "Reagents of a pH kit")
    [5.5, 6, 6.3, 7, 7.5].zip([2, 15, 30, 50, 80]).each { |ph, cm| fill_in "pH at #{cm} cm", with: ph.to_s }
    click_button "Take 5 samples"
    expect(page).to have_text("A colour kit with steps of 0.5 is not read to 6.3.")
    fill_in "pH at 30 cm", with: "6.5"
    click_button "Take 5 samples"
    expect(page).to have_css("[data-sample]", count: 5).and have_css("[data-ph='7.5']")
    expect(all("[data-sample]").map { |row| row.text[/in [AB]/] }).to eq ["in A", "in A", "in B", "in B", "in B"]
    click_button "Test the sample from 50 cm"
    choose_radio "Effervescence (HCl)"
    expect(page).to have_css("[data-caution='acid']", text: "goggles and gloves")
    select "Violent", from: "Effervescence"
    click_button "Write it down"
    expect(find("[data-sample='50 cm']")).to have_text("violent effervescence")
    select "Smeared", from: "Condition of the sample from 50 cm"
    expect(find("[data-sample='50 cm']")).to have_text("does not speak for its depth")
    expect(axe_violations).to be_empty
  end

  def choose_radio(name) = find("[role='radio']", text: name).click

  it "is read beside another, and several readings of one horizon beside each other" do
    Demo.load
    visit "/compare?left=#{Profile.find_by!(name: 'Tare 1').id}&right=#{Profile.find_by!(name: 'Sallow 1').id}"
    expect(page).to have_css("[data-difference]", text: "Bt beside Cg1: clay against silty clay loam")
    select "Cutting, Kiln Bank", from: "Right"
    expect(page).to have_css("[data-side='Cutting']")
    expect(axe_violations).to be_empty
    visit "/profiles/#{Profile.find_by!(name: 'Tare 1').id}"
    expect(page).to have_text("clay, by Ilka")
    click_button "Change E, 18 to 32 cm"
    click_button "Another reading"
    expect(step_now).to have_text("Prepare")
    expect(Horizon.find_by!(designation: "E").readings.size).to eq 2
    visit "/profiles/#{Profile.find_by!(name: 'Tare 1').id}"
    find("li", text: "clay, by Ilka").click_button "Use as the reported reading"
    expect(page).to have_css("[data-horizon='BC']", text: "clay")
    expect(page).to have_text("reported")
    expect(page).to have_css("[data-origin='moved_down']", text: "consistent with clay moved down")
    page.scroll_to(:bottom)
    expect(page.evaluate_script("document.querySelector('[data-sticky]').getBoundingClientRect().top")).to be >= 0
  end

  it "holds photographs, and a ribbon measured on one by mouse and by keys" do
    horizon = profile_with(["A", 0, 30]).horizons.first
    reading = begin_reading(horizon)
    Reading.find(reading["id"]).stand_at(step: "ribbon")
    file = File.join(Dir.mktmpdir, "ribbon.jpg").tap { |path| File.binwrite(path, DemoPicture.call) }
    visit "/readings/#{reading['id']}"
    click_button "On a photo"
    expect(page).to have_css("[data-plane]", text: "at the same height")
    find("input[type='file']", visible: :all).set(file)
    picture = find("[role='application']")
    expect(page).to have_css("[role='application'] img")
    width = page.evaluate_script("document.querySelector('[role=application]').clientWidth")
    page.scroll_to(picture, align: :top)
    expect(width).to be > 300
    mark = lambda do |x, y|
      scale = width.fdiv(DemoPicture::WIDTH)
      chromium.action.move_to(picture.native, ((x - (DemoPicture::WIDTH / 2)) * scale).round,
                              ((y - (DemoPicture::HEIGHT / 2)) * scale).round).click.perform
    end
    left, top = DemoPicture::RULER_AT
    [[left, top], [left + 1000, top], *DemoPicture.marks[:ribbon].first(5)].each { |x, y| mark[x, y] }
    expect(page).to have_css("[data-marks='ribbon'] circle", count: 5)
    picture.send_keys(:backspace, :backspace)
    expect(page).to have_css("[data-marks='ribbon'] circle", count: 3)
    3.times { picture.send_keys(%i[shift right]) }
    picture.send_keys(:enter)
    expect(page).to have_css("[role='status']", text: /\A[\d.]+ mm, give or take [\d.]+\z/)
    expect(axe_violations).to be_empty
    click_button "Add this ribbon"
    expect(page).to have_no_css("[role='dialog']")
    expect_saved
    ribbon = Ribbon.last
    expect([ribbon.photo_id, ribbon.length_mm > 20, ribbon.reading_error_mm.between?(0.1, 5)]).to eq [
      Photo.last.id,
      true,
      true
    ]
  end
end
