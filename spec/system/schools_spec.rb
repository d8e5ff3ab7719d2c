# frozen_string_literal: true

RSpec.describe "Every school on one bench" do
  def bench_at(step, reading)
    api_put("/api/readings/#{reading['id']}/place", { step: step })
    visit "/readings/#{reading['id']}"
    expect(page).to have_css("h1", visible: :all)
  end

  # Opens a test at the step More and answers it.
  def answer(short, with)
    find("[aria-label='Tests'] button", text: /\A#{short}/i).click
    expect(page).to have_css("main [data-test]")
    find("main [data-test] button", text: /\A#{with}/).click
  end

  def switch_to(key)
    type("m")
    find("[role='radio']", text: /\A#{key}\z/).click
    click_button "Save"
    expect(page).to have_no_css("[role='dialog']")
    expect_saved
  end

  def verdict = find("section[aria-label='Verdict so far']")

  let(:reading) do
    give(push(give(begin_reading, ball_holds: true), 44, 47, 45), wet_rub: "neither", grittiness: "moderate")
  end

  # What each school makes of one set of answers; where a key names several, the first.
  let(:schools) do
    {
      "Ribbon and rub" => "clay loam",
      "Field texture grades" => "clay loam, sandy",
      "Sand first" => "clay loam",
      "Rolling" => "clay loam",
      "Sand and clay by feel" => "clay loam",
      "Texture groups" => "moderately fine",
      "Length alone" => "loam"
    }
  end

  it "answers by every key from one set of answers, given once, and only rolling asks for a ring that is taken away" do
    bench_at "ball", begin_reading
    type("1", "w") # the ball holds; the ribbons carry their own weight
    [44, 47, 45].each { |mm| push_ribbon(mm) }
    type(:enter, "6", "2") # moderate grit; neither stands out
    back_from_the_end
    within("[data-test='sand_estimate']") do
      %w[Less More Less].each { |said| click_button said, exact: true }
      click_button "Keep 31.3 %"
    end
    {
      "plasticity" => "4 mm",
      "stickiness" => "Moderately",
      "shine" => "Slight",
      "toss" => "Holds",
      "ball strength" => "Strong",
      "coherence" => "Strongly",
      "floury feel" => "Somewhat",
      "ribbon look" => "Thin",
      "rod" => "It fractures",
      "finest wire" => "3 mm",
      "ring" => "Yes",
      "squeezed face" => "Some shine"
    }.each { |short, said| answer(short, said) }
    expect_saved
    schools.each do |key, says|
      switch_to key
      expect(verdict).to have_css("h2", text: /\A#{says}/i).and have_no_text("next:")
    end
    expect(verdict).to have_no_css("[data-stance='asks']")

    switch_to "Rolling"
    find("nav[aria-label='Steps of this reading'] button", text: "Wire").click
    within("[data-test='ring_forms']") { click_button "Clear answer" }
    expect(verdict).to have_text("next: ring")
    switch_to "Sand first"
    expect(verdict).to have_css("[data-stance='asks']", text: "1 method still needs: ring").and have_css(
      "h2",
      text: "clay loam"
    )
    kept = Reading.last
    # What one ribbon did does not stick to the next.
    expect(kept.record.ribbons.map { |ribbon| ribbon["carried_own_weight"] }).to eq [true, nil, nil]
    expect(kept.observations.keys).to include("rods", "coherence", "sand_estimate").and have_attributes(size: 16)
  end

  it "assigns in the names of the key, and keeps them when the key changes" do
    bench_at "assign", reading
    switch_to "Field texture grades"
    click_button(text: /\AAssign clay loam, sandy/)
    expect(page).to have_css("[data-assigned]", text: "clay loam, sandy")
    switch_to "Ribbon and rub"
    expect(page).to have_css("[data-assigned]", text: "clay loam, sandy")
    expect(Reading.last.assignments.last.result).to include("key" => "field_grades", "system" => "australia")
  end

  it "puts a guess away before any water, and holds it against the class at the end" do
    bench_at "prepare", reading
    type("e")
    within("[role='dialog']") { click_button "sandy loam" }
    expect(page).to have_css("[data-expected]", text: "Your guess is put away until the end.")
    expect_saved
    expect(api_get("/api/readings/#{reading['id']}")["expected"]).to eq("hidden" => true)
    find("nav[aria-label='Steps of this reading'] button", text: "Assign").click
    click_button(text: /\AAssign clay loam/)
    expect(page).to have_css("[data-expected]", text: "You expected sandy loam: two or more classes away.")
  end

  it "keeps the working time, and finds a soil subplastic after ten minutes" do
    made =
      push(give(begin_reading, ball_holds: true, grittiness: "none", working_minutes: 1.5), 44, 46, working_minute: 1.5)
    bench_at "moisten", made
    page.execute_script("localStorage.setItem('grittle.clock.#{Reading.last.id}', " \
                        "JSON.stringify({ since: Date.now() - 600000, base: 1.5 }))")
    page.refresh
    expect(page).to have_css("[data-test='working_minutes']", text: "Ten minutes: push ribbons again.").and have_css(
      "output",
      text: "11:3"
    )
    click_button "Push ribbons again"
    push_ribbon 72
    expect(page).to have_css("[data-reworked]", text: "clay loam became light medium clay. That is subplastic.")
    click_button "Mark it subplastic"
    expect(page).to have_no_button("Mark it subplastic")
    expect_saved
    expect(Reading.last.observations).to include("blind_spots" => ["subplastic"])
    expect(api_get("/api/readings/#{Reading.last.id}")["assessment"]["ribbon_set"]["mean_mm"]).to eq 45.0
  end

  it "lets only the last ribbon count where they grow with working" do
    bench_at "ribbon", push(give(begin_reading, ball_holds: true), 40, 46, 53)
    click_button "They grow with working: let only the last count"
    expect(page).to have_css("figure svg[aria-label*='Ribbons: 53 mm, broke.']")
    expect_saved
    expect(Reading.last.ribbons.size).to eq 3
  end

  it "takes shares by number keys, and words that fit" do
    bench_at "more", reading
    click_button(text: /\Aclay by hand/i)
    type("3", "4", :enter)
    click_button(text: /\Awords for the feel/i)
    type("5", "6")
    expect(page).to have_button(text: /\AWords for the feel\s+smooth, like modelling clay/i)
    expect_saved
    expect(Reading.last.observations).to include(
      "clay_estimate" => {
        "percent" => 34
      },
      "feel_words" => %w[smooth like_modelling_clay]
    )
  end

  it "gives the other tests one by one, by number keys, and marks those that a school waits for" do
    bench_at "more", reading
    expect(page).to have_css("[aria-label='Tests'] button", text: /finest wire\s+for rolling/i)
    click_button(text: /\Aplasticity/i)
    type("3", "3", "2") # plasticity, stickiness, shine
    expect(page).to have_css("[data-test='thumbprint']")
    click_button(text: /\Ashine/i)
    expect(page).to have_css("[data-caution='shine']", text: "back of the knife")
    click_button(text: /\Afinest wire/i)
    type("3")
    expect(page).to have_css("[data-test='ring_forms']")
    type("1")
    expect_saved
    kept = api_get("/api/readings/#{reading['id']}")["observations"]
    expect(kept).to include("plasticity" => "moderately", "stickiness" => "moderately", "shine" => "slight",
                            "finest_wire_mm" => "3", "ring_forms" => true)
    expect(step_now).to have_text("5 answers")
  end

  it "shows in full what each curve, key, limit set and system makes of the same answers, and who agrees" do
    bench_at "assign",
             give(
               reading,
               stickiness: "moderately",
               shine: "slight",
               cast_strength: "strong",
               sand_estimate: {
                 percent: 31
               }
             )
    type("s")
    expect(page).to have_css("h1", text: "What other methods say")
    expect(page).to have_css("tr", text: /Cautious\s+21 %/).and have_css("tr", text: /Consensus\s+34 %/)
    expect(page).to have_css("[data-school='sand_first']", text: /clay loam\s+● agrees/i)
    expect(page).to have_css("[data-school='rolling']", text: "still needs: finest wire")
    expect(page).to have_css("[data-school='texture_groups']", text: /moderately fine\s+names a group/i)
    expect(page).to have_css("[data-school='uk']", text: /clay loam/i).and have_css("[data-school='contest']")
    type(:backspace)
    expect(step_now).to have_text("Assign")
  end

  it "shows a contradiction beside the verdict, with the way to the test to repeat" do
    bench_at "rub", give(push(give(begin_reading, ball_holds: true), 60, 61, 60), stickiness: "non")
    within("[data-contradiction='long_ribbon_not_sticky']") do
      expect(page).to have_text("A long ribbon, yet hardly sticky.")
      click_button "Repeat: stickiness"
    end
    expect(step_now).to have_text("More")
    expect(page).to have_css("[data-test='stickiness']")
    click_button "Keep both"
    fill_in "Why, in one line", with: "Salt on the hand."
    within("[role='dialog']") { click_button "Keep both" }
    expect(page).to have_css("[data-kept]", text: "Both kept: Salt on the hand.").and have_no_css(
      "[data-contradiction]"
    )
    click_button(text: /\AModerately/)
    expect(page).to have_no_css("[data-kept]")
  end
end
