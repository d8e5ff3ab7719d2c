# frozen_string_literal: true

# Hands that get better: a blind session from the set to its score, a hand in use, a class, simulated samples.
RSpec.describe "Practice" do
  # Label, sand, clay: five classes and more.
  let(:soils) do
    [["Ridge", 62, 9], ["Bank", 22, 29], ["Ford", 34, 31], ["Weir", 20, 12], ["Fen", 11, 55], ["Holt", 40, 18],
     ["Mead", 8, 38], ["Croft", 72, 14]]
  end
  # Keys that lead from step to step of the bench, and where each leads to.
  let(:way) { [[:enter, "Moisten"], [:enter, "Ball"], %w[1 Ribbon], [:ribbons, "Rub"], %w[3 Assign]] }

  def make_set(key = "a" * 32)
    tubs = soils.map { |label, sand, clay| { label: label, sand: sand, clay: clay, method: "pipette" } }
    api_post("/api/reference-sets", { key: key, name: "Autumn tubs", tubs: tubs })
  end

  # From the page of the session to the closed sample, by keys alone.
  def read_by_keys(length)
    tab_to(/\A(Take|Go on with) /)
    type(:enter)
    expect(page).to have_css("[data-turn]")
    way.each do |key, step|
      3.times { push_ribbon(length) } if key == :ribbons
      type(key == :ribbons ? :enter : key)
      expect(step_now).to have_text(step)
    end
    expect(page).to have_css("button", text: /\AAssign /)
    type(:enter)
    expect(page).to have_css("[data-assigned]")
    type(:enter)
    expect(page).to have_css("[role='dialog'] button", text: "Close it", focused: true)
    type(:enter)
    expect(page).to have_css("h1", text: "Autumn tubs")
  end

  # @return [PracticeSession]
  def make_by_keys
    visit "/practice"
    press("Make a set")
    expect(page).to have_field("Name", focused: true)
    type("Autumn tubs", :tab, "Ilka", :enter)
    expect(page).to have_css("h1", text: "Autumn tubs")
    fill_by_keys
    press("Begin, and see the codes")
    expect(page).to have_text("Nobody has sat down yet.")
    press("Code labels")
    expect(page).to have_css("[aria-label='Labels'] li", count: 10)
    PracticeSession.last
  end

  def press(name) = tab_to(name) && type(:enter)

  def fill_by_keys
    tab_to("Label, row 1")
    soils.each do |label, sand, clay|
      type(label, :tab, sand.to_s, :tab, :tab, clay.to_s, :enter)
    end
    press("Save the tubs")
    expect(page).to have_css("[role='status']", text: "Saved").and have_text(/silty clay loam/i)
  end

  it "goes from making a set to the score of a blind session, by keyboard" do
    visit "/practice/sessions/#{make_by_keys.id}"
    tab_to("Who reads")
    type("Maren", :enter)
    expect(page).to have_css("ol[aria-label='Codes in your order'] li", count: 10)
    expect(page.html).not_to match(/Ridge|Mead/)
    10.times do |at|
      expect(page).to have_text("#{at} of 10 closed")
      read_by_keys(40)
    end
    expect(page).to have_css("[data-ended]", text: "10 samples count")
    expect(page).to have_css("[data-result]", count: 10).and have_text(/\w+, again/)
    missed = first("[data-result]", text: "Fen").find("[data-miss]")
    expect(missed).to have_text(/at 55 % clay expect \d+ mm; you had 40/)
    expect(console_errors).to eq []
  end

  it "puts a hand in use that was learnt from ten pairs, and reads the same sample with and without it" do
    profile = profile_with(["A", 0, 20], ["B", 20, 60], textured_by: "Maren")
    pairs = [[44, 27], [75, 43], [21, 12], [57, 34], [101, 55], [31, 18], [72, 38], [30, 22], [92, 48], [52, 31]]
    pairs.each_with_index do |(mm, clay), at|
      sample = Sample.make(profile, [{ kind: "bag", label: "T#{at}", upper_cm: 10 }]).first
      reading = api_post("/api/readings", { sample_id: sample.id, textured_by: "Maren" })
      assign(push(give(reading, ball_holds: true, wet_rub: "neither"), mm, mm, mm), "L", reason: "as felt")
      api_post("/api/samples/#{sample.id}/laboratory-results", { clay: clay, silt: 30, method: "pipette" })
    end
    felt = lambda do |horizon|
      push(give(begin_reading(horizon), ball_holds: true, wet_rub: "neither"), 60, 60, 60)["id"]
    end
    before = felt.call(profile.horizons.first)
    visit "/readings/#{before}"
    expect(page).to have_css("[data-evidence]").and have_no_css("[data-own-hand]")
    visit "/hands"
    click_link(text: /Maren/)
    expect(page).to have_text("Your 40 mm is a consensus 33 mm.").or have_text(/Your 40 mm is a consensus 3\d mm/)
    within("[data-use]") { click_button "Use it from now on" }
    expect(page).to have_css("[data-use]", text: "New readings of Maren use this hand")
    visit "/readings/#{felt.call(profile.horizons.last)}"
    expect(page).to have_css("[data-own-hand]",
                             text: /With Maren’s own hand, learnt from 10 pairs.*Without it: .*clay/m)
    clays = [before, Reading.last.id].map do |id|
      api_get("/api/readings/#{id}")["assessment"]["evidence"]["mean"]["clay"]
    end
    expect(clays.last).to be < clays.first - 3
    visit "/readings/#{before}" # keeps what it was made with
    expect(page).to have_css("[data-evidence]").and have_no_css("[data-own-hand]")
  end

  # @return [String] the code to join
  def begin_group(set)
    visit "/practice/sets/#{set['id']}"
    expect(page).to have_text("Only who fills the tubs sees what is in them.")
    fill_in "Key of the set", with: "aaaa " * 8
    click_button "Open with the key"
    click_button "A group with a code"
    find("label", text: "Some tubs come again").find("input").uncheck
    click_button "Begin, and see the codes"
    find("[data-join]").text
  end

  # @return [String] the person's key
  def join(name, code)
    Capybara.using_session(name) do
      visit "/practice"
      fill_in "Who practises here", with: name
      fill_in "Code of the session", with: code.downcase
      click_button "Join"
      expect(page).to have_css("ol[aria-label='Codes in your order'] li", count: 8)
      page.evaluate_script("JSON.parse(localStorage.getItem('grittle.keys'))").values.first
    end
  end

  it "lets three people join with a code, shows the teacher who called what, and opens the truth for all" do
    code = begin_group(make_set)
    close_all(%w[Maren Tobe Ilka].map { |name| join(name, code) })
    expect(page).to have_css("tr", text: /Maren.*8 of 8/m).and have_css("tr", text: /Ilka.*8 of 8/m)
    click_link "People compared"
    expect(page).to have_css("svg[aria-label^='Clay of Maren less Tobe']")
    expect(page).to have_css("li", text: /Ilka\s*\+/)
    click_link(text: /The session/)
    click_button "End, and open the truth"
    click_button "End it"
    expect(page).to have_text("Ended: the truth is open")
    Capybara.using_session("Maren") do
      expect(page).to have_css("[data-ended]", text: "8 samples count")
      expect(page).to have_css("[aria-label='Calls of the others'] li", count: 8)
      expect(page).to have_no_text(/Tobe|Ilka/)
      expect(console_errors).to eq []
    end
  end

  # What the three felt of every tub, over the API with their own keys; Ilka's ribbons are longer.
  def close_all(keys)
    keys.each_with_index do |key, at|
      header("Grittle-Key", key)
      8.times do
        session = api_get("/api/practice-sessions/#{PracticeSession.last.id}")
        turn = session["me"]["turns"].find { |one| one["now"] }
        clay = Turn.find(turn["id"]).truth.clay
        reading = api_get("/api/readings/#{api_post("/api/turns/#{turn['id']}/begin", {})['reading_id']}")
        mm = ((clay * 1.3) + 2 + (at * at * 4)).round
        felt = push(give(reading, ball_holds: true, wet_rub: "neither"), mm, mm, mm)
        assign(felt, felt["assessment"]["keys"][0]["outcomes"][0]["code"], reason: "as felt")
        api_post("/api/turns/#{turn['id']}/close", {})
      end
    end
  end

  it "asks a simulated sample test by test, hides the verdict, and explains the call" do
    visit "/practice"
    fill_in "Who practises here", with: "Maren"
    click_button "Begin simulated samples"
    click_button(text: /\ATake sample/)
    expect(page).to have_css("[data-hidden]", text: "This trains the decision, not the hand.")
    type(:enter)
    expect(step_now).to have_text("Moisten")
    type(:enter)
    expect(step_now).to have_text("Ball")
    within("[data-turn]") { click_button(text: /\AFeel: /) }
    expect(page).to have_css("main [aria-pressed='true']")
    find("nav[aria-label='Steps of this reading'] button", text: "Assign").click
    expect(page).to have_css("[aria-label='What it felt like'] dd").and have_no_css("[aria-label='Verdict so far']")
    truth = Turn.last.given["class"]
    # Next to a line the class beyond it is right as well: no neighbour is called.
    wrong = %w[S LS SL].include?(truth) ? "clay" : "sand"
    within("[aria-label='Call the class']") { click_button wrong, exact: true }
    click_button(text: /\AClose sample/)
    click_button "Close it"
    expect(page).to have_css("[data-result] [data-miss]")
    expect(page).to have_button("Next simulated sample")
    visit "/"
    expect(page).to have_no_text("Code ")
    expect(console_errors).to eq []
  end

  it "leads through a whole simulated sample to its truth, by keys, and never shows what the key says of it" do
    visit "/practice"
    fill_in "Who practises here", with: "Maren"
    # A soil that makes a ball and ribbons, and leads the key to its end.
    allow(Grittle::Practice::NextSample).to receive(:third).and_return([[40, 40, 20]])
    click_button "Begin simulated samples"
    click_button(text: /\ATake sample/)
    expect(page).to have_css("[data-turn]")
    %w[Moisten Ball Ribbon Rub].each do |step|
      type(:enter)
      expect(step_now).to have_text(step)
      within("[data-turn]") { click_button(text: /\A(Feel|Push)/) if step != "Moisten" }
      expect(page).to have_no_css("[data-turn] button[disabled]")
    end
    type("s") # other methods would say it
    find("nav[aria-label='Steps of this reading'] button", text: "Assign").click
    type("4") # loam
    type(:enter)
    expect(page).to have_css("[role='dialog']", text: "You call it loam")
    type(:enter)
    expect(page).to have_css("[data-result]", text: /You called\s+loam/i)
    expect(Turn.last.said["observations"].keys).to include("ball_holds", "ribbons", "wet_rub")
    expect(Reading.last.class_given).to be_nil
    expect(console_errors).to eq []
  end

  it "times the reading of a key" do
    visit "/practice/key"
    fill_in "Who reads", with: "Maren"
    click_button "Show me answers"
    find("[aria-label='What the key says'] button", match: :first).click
    expect(page).to have_css("[role='status']", text: /the key says .* s; your median/)
  end
end
