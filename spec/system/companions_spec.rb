# frozen_string_literal: true

require_relative "../support/own_server"

RSpec.describe "Companion tests by the clock" do
  before { Demo.load }

  let(:profile) { Profile.find_by!(name: "Tare 1") }

  # Begins a sheet at the section's profile and all of its clocks.
  def begin_test(title, start, depths = nil)
    click_button title, exact: false
    within("[role='dialog']") do
      fill_in(depths.first, with: depths.last) if depths
      click_button("Set up", exact: false)
    end
    expect(page).to have_css("h1", text: "#{title}, Tare 1")
    first(:button, "#{start} all", exact: false, minimum: 0)&.click || first(:button, start, exact: false).click
    expect(page).to have_css("article", text: /runs 0:/)
    click_link "Companion tests"
  end

  # A jar asks for no look before its height of water is known.
  def begin_jar
    visit "/companion-tests?profile=#{profile.id}"
    click_button "Jar settling"
    within("[role='dialog']") do
      fill_in "Depth of each jar", with: "50"
      click_button "Set up 1 jar"
    end
    find("summary", text: "Type it in").click
    fill_in "Water above the bottom", with: "120"
    click_button "Set up"
    expect(page).to have_text("Sand is read after 53 s")
    click_button "Shaken: start"
    expect(page).to have_css("article", text: /runs 0:/)
  end

  def times = all("[data-board] li").map { |line| [line.find("b").text, line.all("span").last.text] }.sort

  it "six at once keep their times through a reload and a server that was killed" do
    visit "/profiles/#{profile.id}"
    click_link "Companion tests"
    expect(page).to have_text("No clock runs.")
    begin_test("Crumb in still water", "Laid in: start")
    begin_test("pH by colour kit", "Dusted: start")
    begin_test("Effervescence (HCl)", "Dropped: start", ["Depth of each depth", "30, 60"])
    begin_test("Percolation", "Soaking: start")
    begin_test("Layered columns", "Poured: start")
    begin_jar
    visit "/companion-tests"
    expect(page).to have_css("[data-board] li", count: 5 + 5 + 2 + 3 + 3 + 1)
    before = times
    titles = Timers.new(Fieldbook.current).to_a.map { |timer| timer.place.companion_test.kind.title }.uniq
    expect(titles).to contain_exactly("Crumb in still water", "pH by colour kit", "Effervescence (HCl)", "Percolation",
                                      "Layered columns", "Jar settling")
    page.refresh
    expect(page).to have_css("[data-board] li", count: before.size)
    2.times do
      server = OwnServer.new
      visit "#{server.address}/companion-tests"
      expect(page).to have_css("[data-board] li", count: before.size)
      expect(times).to eq before
      visit "about:blank" # before its server goes: the page would ask it once more for what it keeps
    ensure
      server&.kill
    end
    chromium.logs.get(:performance) # another server of ours was asked
  end

  it "a look is one touch, is marked when it is late, and is removed again" do
    sheet = CompanionTest.make(Fieldbook.current, test: "crumb", places: [{ upper_cm: 40 }], setup: { water: "rain" },
                                                  owner: { profile: profile })
    sheet.places.first.update!(started_at: Time.now.utc - (5 * 60))
    visit "/companion-tests/#{sheet.id}"
    find("button[aria-label='Slaking: fully; dispersion: some']").click
    expect(page).to have_css("[data-said]", text: "Crumb class 1 to 2 still possible, dispersive")
    expect(page).to have_css("[data-due='done']", count: 1)
    sheet.places.first.update!(started_at: Time.now.utc - (300 * 60))
    page.refresh
    find("button[aria-label='Slaking: fully; dispersion: none']").click
    find("summary", text: "What was written down (3)").click
    expect(page).to have_text("after 5 h, asked for after 2 h: kept, counts for no time")
    all("button", text: "Remove").last.click
    expect(page).to have_css("summary", text: "What was written down (2)")
    expect(page).to have_css("[data-caution='results']").and have_css("[role='note']", text: "nobody may move it")
    click_button "Lay a remoulded ball beside it"
    within("article", text: "Remoulded") { click_button("Laid in: start", exact: false) }
    expect(page).to have_css("article", text: "Remoulded", count: 1).and have_css("article", count: 2)
  end

  it "is worked by keyboard: a hole is begun and read with the arrows" do
    sheet = CompanionTest.make(Fieldbook.current, test: "percolation", places: [{ upper_cm: 60, label: "Hole 1" }],
                                                  setup: { soak: "sand", gravel: true }, owner: { profile: profile })
    sheet.places.first.update!(started_at: Time.now.utc - (31 * 60))
    sheet.places.first.write({ refilled: true }, at: Time.now.utc - (30 * 60))
    visit "/companion-tests/#{sheet.id}"
    expect(page).to have_css("h1", text: "Percolation")
    tab_to(/\AWater left, Hole 1/)
    type(:page_up, :arrow_up, :arrow_up, :enter)
    expect(page).to have_css("[data-said]", text: "At least").or have_css("[data-said]", text: "mm/h")
    expect(Finding.last.value).to include("refilled" => true, "water_mm" => be_a(Numeric))
    expect(page).to have_css("[data-next]", text: /Level in 29:/)
    expect(page).to have_css("[data-timers]", text: "Hole 1")
  end

  it "counts in the title what is due, on every page" do
    sheet = CompanionTest.make(Fieldbook.current, test: "ph", places: [{ upper_cm: 10 }], owner: { profile: profile })
    sheet.places.first.update!(started_at: Time.now.utc - (3 * 60))
    visit "/settings"
    expect(page).to have_title("(1) Settings · Grittle")
    expect(page).to have_css("[data-timers]", text: "1 timer, 1 due")
    find("[data-timers] a", text: "10 cm").click
    click_button "5.5"
    expect(page).to have_css("[data-said]", text: "pH 5.5, strongly acid").and have_title(/\ApH by colour kit/)
  end

  it "warns at the step where it can hurt" do
    { "percolation" => %w[services effluent holes], "jar" => %w[plastic dispersant], "ph" => %w[reagent],
      "fizz" => %w[acid], "probe" => %w[services], "columns" => %w[plastic dust] }.each do |test, cautions|
      places = [{ upper_cm: 10 }, { upper_cm: 30 }]
      sheet = CompanionTest.make(Fieldbook.current, test: test, places: places, owner: { profile: profile })
      visit "/companion-tests/#{sheet.id}"
      cautions.each { |name| expect(page).to have_css("li [data-caution='#{name}']") }
    end
  end
end
