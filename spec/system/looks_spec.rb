# frozen_string_literal: true

RSpec.describe "Every place" do
  before do
    Demo.load
    Demo::Practice.load
    visit "/tests"
    keys = { "set/#{klass.reference_set_id}" => Demo::Practice::KEY, "session/#{klass.id}" => "101".rjust(32, "0") }
    page.execute_script("localStorage.setItem('grittle.keys', arguments[0])", JSON.generate(keys))
  end

  # The demo's session of three, which has ended; and a simulated sample in Maren's hand.
  let(:klass) { PracticeSession.find_by!(kind: "group") }
  let(:simulated) do
    PracticeSession.make(kind: "simulated").join("Maren", "e" * 32).current.begin.tap do |one|
      one.stand_at(step: "ball")
    end
  end

  let(:submission) do
    bag = Sample.make(Profile.find_by!(name: "Tare 1"), [{ kind: "bag", label: "Bag 1", upper_cm: 30 }])
    Submission.make(bag, laboratory: "Invented laboratory", analysis: "pipette", way: "paper")
  end
  let(:places) do
    ribbon = Reading.find_by!(step: "ribbon").id
    more = Reading.find_by!(step: "assign").id
    tare = Profile.find_by!(name: "Tare 1").id
    Reading.find(more).stand_at(step: "more")
    # Clocks that run: a crumb, holes, tubes.
    { "crumb" => [10, 30], "percolation" => [60], "columns" => [10, 30] }.each do |test, depths|
      sheet = CompanionTest.make(Fieldbook.current, test: test, places: depths.map { |cm| { upper_cm: cm } },
                                                    owner: { profile: Profile.find(tare) })
      sheet.places.each { |place| place.begin(Time.now.utc - 60) }
    end
    # Results that came after the hand had said its class.
    Reading.kept.where(id: Assignment.select(:reading_id)).find_each.with_index do |classed, place|
      LaboratoryResult.make(classed.sample, { "clay" => 12 + (4 * place), "silt" => 30 })
    end
    person = Observer.all.max_by { |one| one.taught.count }
    session = "/practice/sessions/#{klass.id}"
    report = Report.make(Fieldbook.current, { profile: Profile.find(tare) }).id
    { "the fieldbook" => "/", "the section" => "/profiles/#{tare}", "the ribbon" => "/readings/#{ribbon}",
      "the triangle" => "/triangle?sand=42&clay=19", "the tests" => "/tests", "the step More" => "/readings/#{more}",
      "the schools" => "/readings/#{more}/schools",
      "the table" => "/profiles/#{tare}/table", "the interpretation" => "/profiles/#{tare}/interpretation",
      "the card" => "/profiles/#{tare}/horizons/#{Horizon.find_by!(designation: 'Bt').id}",
      "side by side" => "/compare", "a site" => "/sites/#{Site.first.id}", "the import" => "/import",
      "companion tests" => "/companion-tests", "a report" => "/reports/#{report}", "reports" => "/reports",
      "hands" => "/hands", "a hand" => "/hands/#{person.id}",
      "laboratory" => "/laboratory", "a submission" => "/laboratory/#{submission.id}", "practice" => "/practice",
      "double readings" => "/double-readings",
      "a set" => "/practice/sets/#{klass.reference_set_id}", "a session" => session,
      "its keeper's page" => "#{session}/keeper", "its labels" => "#{session}/labels",
      "people compared" => "#{session}/comparison", "a key to read" => "/practice/key",
      "a simulated sample" => "/readings/#{simulated.id}",
      **CompanionTest.all.to_h { |sheet| [sheet.test, "/companion-tests/#{sheet.id}"] },
      "quick readings" => "/readings", "settings" => "/settings", "the bin" => "/bin", "the device" => "/device",
      "the verdict" => "/readings/#{Reading.where(step: 'assign').first.id}" }
  end

  def go_to(name)
    visit places.fetch(name)
    expect(page).to have_css("h1", visible: :all), -> { "no heading at #{name}: #{page.text}" }
  end

  [Browser::DESK, Browser::PHONE].product(%w[paper dusk]).each do |size, theme|
    it "has no violation that axe finds at #{size.join(' x ')} in #{theme}, and nothing wider than the page" do
      at_size(*size)
      self.theme = theme
      places.each_key do |name|
        go_to name
        expect(axe_violations).to be_empty, -> { "#{name}: #{axe_violations.join("\n")}" }
        expect(page.evaluate_script("document.documentElement.scrollWidth")).to be <= size.first, name
      end
    end
  end

  # 200 % at 1280 x 800 leaves 640 x 400 px of the page's own.
  it "can be used at 200 %, and where the system draws the colours" do
    at_size(640, 400)
    places.each_key do |name|
      go_to name
      expect(page.evaluate_script("document.documentElement.scrollWidth")).to be <= 640, name
    end
    at_size(*Browser::DESK)
    chromium.execute_cdp("Emulation.setEmulatedMedia", features: [{ name: "forced-colors", value: "active" }])
    places.each_key do |name|
      go_to name
      expect(axe_violations).to be_empty, -> { "#{name}: #{axe_violations.join("\n")}" }
    end
  ensure
    chromium.execute_cdp("Emulation.setEmulatedMedia", features: [])
  end

  # Cumulative layout shift as browsers measure it (published: W3C Layout Instability, draft).
  it "shifts its layout by 0.05 at most while it loads" do
    places.each_key do |name|
      go_to name
      shift = page.evaluate_async_script(<<~JS)
        const done = arguments[0]
        let sum = 0
        const add = (one) => { sum += one.hadRecentInput ? 0 : one.value }
        new PerformanceObserver((list) => list.getEntries().forEach(add))
          .observe({ type: 'layout-shift', buffered: true })
        requestAnimationFrame(() => requestAnimationFrame(() => done(sum)))
      JS
      expect(shift).to be <= 0.05, "#{name}: #{shift}"
    end
  end

  it "keeps bench targets at 56 px and more" do
    visit places["the ribbon"]
    expect(page).to have_css("h1")
    small = page.evaluate_script(<<~JS)
      [...document.querySelectorAll('button, a')]
        .filter((e) => { const r = e.getBoundingClientRect(); return r.width && (r.height < 56 || r.width < 55) })
        .map((e) => e.outerHTML.slice(0, 120))
    JS
    expect(small).to be_empty
  end

  it "does not scroll on the bench at 1280 x 800" do
    places.slice("the ribbon", "the verdict").each_value do |path|
      visit path
      expect(page).to have_css("main h1")
      below =
        page.evaluate_script(
          "(({ scrollHeight, clientHeight }) => scrollHeight - clientHeight)(document.querySelector('main'))"
        )
      expect(below).to be <= 1
    end
  end

  # Each caution stands at the step it belongs to; more stands behind it.
  {
    "exposure" => ["never enter an excavation", "/", ->(page) { page.click_button("Add profile at High Tare") }],
    "site" => ["contaminated or unknown ground wear gloves", "/", ->(page) { page.click_button("Add site") }],
    "sampling" => ["wash your hands before you eat", :bench, "Prepare"],
    "dust" => ["wet it or wear a mask", :bench, "Prepare"],
    "tasting" => ["Do not taste soil", :bench, "Rub"],
    "results" => ["Hand texture is an estimate", :bench, "Assign"]
  }.each do |caution, (sentence, place, way)|
    it "shows the caution of #{caution} at its step" do
      visit(place == :bench ? places["the ribbon"] : place)
      way.respond_to?(:call) ? way.call(page) : find("nav[aria-label='Steps of this reading'] button", text: way).click
      note = find("[data-caution='#{caution}']", text: sentence)
      before = note.text.length
      note.find("button", text: "More").click
      expect(find("[data-caution='#{caution}']").text.length).to be > before + 30
    end
  end

  it "warns of results at the section too" do
    visit places["the section"]
    expect(page).to have_css("[data-caution='results']")
  end
end
