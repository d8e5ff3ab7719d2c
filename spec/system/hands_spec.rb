# frozen_string_literal: true

# Keys and taps do what the hand means, and nothing behind its back.
RSpec.describe "Under a muddy hand" do
  let(:profile) { profile_with(["A", 0, 20], ["B", 20, 60]) }
  let(:reading) { give(begin_reading(profile.horizons.first), ball_holds: true, wet_rub: "neither") }

  def bench_at(step)
    api_put("/api/readings/#{reading['id']}/place", { step: step })
    visit "/readings/#{reading['id']}"
    expect(page).to have_css("nav[aria-label='Steps of this reading']")
  end

  def lengths = Reading.find(reading["id"]).record.ribbons.map { |ribbon| ribbon["length_mm"] }

  def tap_ruler(mm)
    ruler = find("[data-ruler]")
    ruler.click(x: (12 + ((ruler.native.size.width - 32) * (mm / 100.0))).round - (ruler.native.size.width / 2), y: 0)
  end

  it "edits a sole ribbon at once: the new length replaces the old one, and Enter adds none behind it" do
    push(reading, 40)
    bench_at "ribbon"
    type("c")
    expect(page).to have_css("[role='dialog'] h2", text: "Edit ribbon")
    type("4", "6", :enter)
    expect(page).to have_no_css("[role='dialog']").and have_css("figure svg[aria-label*='46 mm, broke']")
    expect_saved
    expect(lengths).to eq [46]
  end

  it "gives keys to a dialog, wherever the focus stands" do
    push(reading, 40, 44)
    bench_at "ribbon"
    type("c")
    find("[role='dialog'] h2").click
    page.execute_script("document.activeElement.blur()")
    type("9", "9")
    find("button[aria-label='Close']").click
    expect(page).to have_no_css("[role='dialog']")
    expect(page).to have_css("output", text: "ribbon 3")
  end

  it "takes what is typed after a tap on the ruler for another length" do
    bench_at "ribbon"
    tap_ruler(52)
    expect(find("output").text).to match(/\A5[123]/)
    type("4", "7", :enter)
    expect(page).to have_css("figure svg[aria-label*='47 mm, broke']")
    expect_saved
    expect(lengths).to eq [47]
  end

  it "assigns the first class by Enter while none is assigned, and then goes on" do
    push(reading, 40, 42)
    bench_at "assign"
    type(:enter)
    expect(page).to have_css("[data-assigned]", text: "clay loam")
    type(:enter)
    expect(page).to have_css("[aria-current='step']", text: "Ball") # of the next horizon
  end

  it "keeps a length that is tapped twice, and what is typed when one goes on" do
    bench_at "ribbon"
    2.times { tap_ruler(52) }
    expect(page).to have_css("output", text: "ribbon 2")
    type("4", "9")
    click_button "Keep 49 mm, rub a pinch"
    expect(step_now).to have_text("Rub")
    expect_saved
    expect(lengths.map(&:round)).to contain_exactly(be_within(1).of(52), 49)
  end

  it "notes what is felt on the way with one tap, and a ball that forms too wet" do
    bench_at "moisten"
    within("[data-noticed='stickiness']") { click_button "Moderately" }
    expect(page).to have_css("[data-noticed='stickiness'] [aria-pressed='true']", text: "Moderately")
    click_button "Next: squeeze a ball"
    click_button "Too wet"
    expect(page).to have_text("Add dry soil or let it dry, knead on, and squeeze again.")
    click_button(text: /\AYes/)
    expect(step_now).to have_text("Ribbon")
    expect_saved
    expect(Reading.find(reading["id"]).observations).to include(
      "stickiness" => "moderately",
      "ball_holds" => true,
      "moisture_rounds" => 1
    )
  end

  it "leaves what is typed in its line when another step is looked at" do
    bench_at "ribbon"
    type("4")
    find("nav[aria-label='Steps of this reading'] button", text: "Ball").click
    find("nav[aria-label='Steps of this reading'] button", text: "Ribbon").click
    expect(page).to have_css("output", text: "4")
    type("7", :enter)
    expect_saved
    expect(lengths).to eq [47]
  end

  it "goes from a ball that holds to the ribbon, also where the key had ended without one" do
    api_patch("/api/readings/#{reading['id']}", { version: reading["version"], answers: { ball_holds: false } })
    api_patch("/api/readings/#{reading['id']}", { version: reading["version"] + 1, moisture_answer: "neither" })
    bench_at "ball"
    expect(page).to have_text("Moisture is not the reason")
    type("1")
    expect(step_now).to have_text("Ribbon")
  end

  it "asks about a length whose point has slipped, and about a ribbon of nothing" do
    bench_at "ribbon"
    type("5", "2", :enter)
    expect(page).to have_css("output", text: "ribbon 2")
    type("5", ".", "4", :enter)
    expect(page).to have_css("[data-slip]", text: "5.4 mm? Or 54?")
    type(:enter, "o")
    expect(page).to have_css("output", text: "ribbon 3")
    type("0", :enter)
    expect(page).to have_css("[data-slip]", text: "A ribbon of 0 mm is no ribbon.")
    click_button "Type again"
    expect_saved
    expect(lengths).to eq [52, 54]
  end

  it "asks once when a reading at its end is left without a class" do
    push(reading, 40, 42)
    bench_at "assign"
    find("header a", text: "A").click
    within("[role='dialog']") { click_button "Leave it open" }
    expect(page).to have_css("h1", text: "Slope 1")
    bench_at "assign"
    find("header a", text: "A").click
    within("[role='dialog']") { click_button(text: /Assign .*clay loam/) }
    expect(page).to have_css("h1", text: "Slope 1").and have_text("clay loam")
    expect(Reading.find(reading["id"]).class_given&.code).to eq "CL"
  end

  it "asks before typed text goes, puts the focus into the first line, and after Add, then another again" do
    visit "/profiles/#{profile.id}"
    click_button "Add horizon"
    expect(page).to have_field("Designation", focused: true)
    type("C", :escape)
    expect(page).to have_css("[role='alert']", text: "What you typed is not saved.")
    click_button "Keep writing"
    expect(find_field("Designation").value).to eq "C"
    fill_in "Lower depth", with: "90"
    click_button "Add, then another"
    expect(page).to have_text("C is added.").and have_field("Designation", with: "", focused: true)
    type(:escape)
    expect(page).to have_no_css("[role='dialog']")
    visit "/"
    click_button "Add site"
    expect(page).to have_field("Name", focused: true)
    type("Fen", :escape, :escape)
    expect(page).to have_no_css("[role='dialog']")
    expect(Site.pluck(:name)).to eq ["Slope"]
  end

  # Each form, opened before somebody else saves.
  {
    "a horizon" => [
      -> { "/profiles/#{profile.id}" },
      -> { click_button "Change A, 0 to 20 cm" },
      "Colour, moist",
      "10YR 4/3",
      "10YR 3/2",
      -> { profile.horizons.first },
      :moist_colour
    ],
    "a profile" => [
      -> { "/profiles/#{profile.id}" },
      -> { click_button "Profile details" },
      "Note",
      "Wet below",
      "Dry",
      -> { profile },
      :note
    ],
    "a site" => [
      -> { "/" },
      -> { click_button "Site details: Slope" },
      "Note",
      "Pasture",
      "Maize",
      -> { profile.site },
      :note
    ]
  }.each do |what, (path, open, field, theirs, mine, record, column)|
    it "shows both versions of #{what} that was saved meanwhile, and lets one choose" do
      changed = instance_exec(&record)
      visit instance_exec(&path)
      instance_exec(&open)
      fill_in field, with: mine
      changed.change(changed.lock_version, { column => theirs })
      click_button "Save"
      within("[data-conflict]") do
        expect(page).to have_css("[data-theirs]", text: theirs).and have_css("[data-yours]", text: mine)
        click_button "Save mine on top"
      end
      expect(page).to have_no_css("[role='dialog']")
      expect(changed.reload[column]).to eq mine
    end
  end
end
