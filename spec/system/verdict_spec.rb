# frozen_string_literal: true

RSpec.describe "The verdict at the side of the bench" do
  def verdict = find("section[aria-label='Verdict so far']")

  def bench_at(step, reading)
    api_put("/api/readings/#{reading['id']}/place", { step: step })
    visit "/readings/#{reading['id']}"
  end

  it "follows every answer: what is possible, the path, the set on one scale, the other limit sets" do
    bench_at("ball", begin_reading)
    expect(verdict).to have_text("11 classes possible")
    type("1")
    expect(verdict).to have_text("10 classes possible").and have_text("The ball holds")
    push_ribbon 55
    expect(verdict).to have_text("One ribbon only.").and have_text("Judging-contest limits: medium 83 %")
    expect(page).to have_css("figure svg[aria-label*='73 % over 50 mm']")
    type(:enter, "3")
    back_from_the_end
    expect(verdict).to have_text("silty clay or silty clay loam").and have_text("rubs very smooth")
    expect(verdict).to have_css(
      "[data-stance='one_off']",
      text: "silty clay loam 83 %, silty clay 17 % by Judging-contest"
    )
    expect(verdict).to have_css("svg[aria-label*='The key names: silty clay loam, silty clay']")
    expect(verdict).to have_css("svg[aria-label*='mean 55 mm, 90 % interval 35 to 75, limits 5, 25, 50']")
  end

  it "stands before the server has answered, with the estimate, and stays when it has" do
    reading = begin_reading
    bench_at("ball", reading)
    expect(verdict).to have_text("11 classes possible")
    # The server cannot write to the reading as long as somebody else holds its row.
    Reading.transaction do
      Reading.lock.find(reading["id"])
      type("1")
      expect(verdict).to have_text("10 classes possible").and have_css("[data-evidence]")
      expect(page).to have_no_css("[data-estimating]").and have_no_css("[role='status']", text: /\ASaved\z/)
    end
    expect_saved
    expect(verdict).to have_text("10 classes possible")
    expect(Answer.count).to eq 1
  end

  it "leads on from the rub also where the ribbons before it are still on their way" do
    reading = give(begin_reading, ball_holds: true)
    bench_at("ribbon", reading)
    expect(step_now).to have_text("Ribbon")
    Reading.transaction do
      Reading.lock.find(reading["id"])
      type(*"52".chars, :enter, *"57".chars, :enter, :enter)
      expect(step_now).to have_text("Rub")
      type("2")
    end
    expect(step_now).to have_text("Assign")
    expect_saved
  end

  it "flags a ribbon of 9 mm that rubs very gritty between loamy sand and sandy loam" do
    bench_at("rub", push(give(begin_reading, wet_rub: "very_gritty"), 9))
    expect(verdict).to have_css("[data-note='near_stub']").and have_text("sandy loam or loamy sand")
  end

  it "says that 70, 70, 70 mm are clear of every limit" do
    bench_at("ribbon", push(give(begin_reading, wet_rub: "very_smooth"), 70, 70, 70))
    expect(page).to have_css("[data-advice]", text: "Clear of every limit of this key.")
    expect(verdict).to have_text("silty clay\nby the key")
  end

  it "asks the rub in the words of the limit set" do
    bench_at(
      "rub",
      api_patch(
        "/api/readings/#{(reading = begin_reading)['id']}",
        { version: reading["version"], limit_set: "inch_tiers" }
      )
    )
    expect(page).to have_button("Moderately gritty")
  end
end
