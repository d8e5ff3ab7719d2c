# frozen_string_literal: true

require_relative "../support/own_server"
require_relative "../support/stand_in"

# Bags from the section to the laboratory and back, and what the results are good for.
RSpec.describe "The laboratory" do
  # Ribbons as a prototype has them, beside the clay that the stand-in is told. [our own]
  let(:pairs) { [[44, 27], [75, 43], [21, 12], [57, 34], [101, 55], [31, 18], [72, 38], [30, 22], [92, 48], [16, 12]] }
  let(:profile) { profile_with(["A", 0, 20], ["B", 20, 60], textured_by: "Maren") }
  let(:truth) do
    rows = pairs.each_with_index.map { |(_, clay), at| "B#{at},#{(90 - clay) / 2.0},#{clay}" }
    Tempfile.create(["truth", ".csv"]).tap do |file|
      file.write("label,sand,clay\n#{rows.join("\n")}\n") && file.close
    end.path
  end

  def bags
    pairs.each_with_index do |(mm, _), at|
      sample = Sample.make(profile, [{ kind: "bag", label: "B#{at}", upper_cm: 5 + (5 * at) }]).first
      reading = api_post("/api/readings", { sample_id: sample.id })
      assign(push(give(reading, ball_holds: true, wet_rub: "neither"), mm, mm, mm), "L", reason: "as felt")
    end
  end

  it "takes bags there and back, and a mixed-up pair shows as odd in the hand" do
    bags
    laboratory("--seconds", "0.2", "--truth", truth, "--swap", "B8") do # with B9: 48 and 12 % clay
      visit "/laboratory"
      click_button "All"
      fill_in "Laboratory", with: "Invented laboratory"
      fill_in "Sent by", with: "Maren"
      click_button "Send 10 bags"
      expect(page).to have_css("[data-state]", text: "Waiting to be sent")
      expect(page).to have_link("Custody sheet, PDF")
      click_button "Ask now"
      expect(page).to have_css("[data-state]", text: "Received by the laboratory")
      until page.has_css?("[data-state]", text: "Results imported", wait: 1)
        click_button "Ask now" if page.has_button?("Ask now", wait: 0)
      end
      expect(page).to have_css("[aria-label='Bags'] li", text: /B0.*The hand: loam.*clay 2\d.*the truth lies/m)
    end
    visit "/hands"
    click_link(text: /Maren/)
    expect(page).to have_css("tr", text: /B8.*does not fit/m).and have_css("tr", text: /B9.*does not fit/m)
    expect(page).to have_text("2 samples do not fit: another tub, or another bag?")
    click_button "Take out B9, 50 cm"
    fill_in "Why", with: "Bags mixed up"
    click_button "Take it out"
    expect(page).to have_css("li", text: "taken out: Bags mixed up")
    click_button "Put back B9, 50 cm"
    expect(page).to have_css("tr", text: /B9.*does not fit/m)
    expect(console_errors).to eq []
  end

  it "shows a result beside the hand on its reading, and reckons consequences from either" do
    reading = push(give(begin_reading(profile.horizons.first), ball_holds: true, wet_rub: "neither"), 20, 20)
    reading = assign(reading, reading["assessment"]["keys"][0]["outcomes"][0]["code"])
    visit "/readings/#{reading['id']}"
    find("nav[aria-label='Steps of this reading'] button", text: "Assign").click
    click_button "Write down a result"
    fill_in "Silt", with: "20"
    fill_in "Clay", with: "60"
    click_button "Write it down"
    expect(page).to have_css("[data-laboratory]", text: "clay: sand 20, silt 20, clay 60 % (pipette)")
    visit "/profiles/#{profile.id}/interpretation"
    expect(page).to have_css("[data-from]", text: "From what the hand felt.")
    water = find("[data-matters]").text
    find("[role='radio']", text: "The laboratory’s result").click
    expect(page).to have_css("[data-from]", text: "From the laboratory’s result.")
    expect(find("[data-matters]").text).not_to eq water
    expect(console_errors).to eq []
  end

  # Looks again until the block holds.
  def eventually
    Timeout.timeout(40) do
      IO.select(nil, nil, nil, 0.2) until yield
    end
  end

  it "goes on by itself after the laboratory was away and the server was killed" do
    bag = Sample.make(profile, [{ kind: "bag", label: "B1", upper_cm: 10 }])
    sent = Submission.make(bag, laboratory: "Invented laboratory", analysis: "pipette", way: "service")
    port = free_port
    ENV["GRITTLE_LABORATORY"] = "http://127.0.0.1:#{port}" # nobody there
    server = OwnServer.new
    eventually { sent.reload.tries.positive? }
    server.kill
    expect(sent.reload).to have_attributes(state: "queued", trouble: "The laboratory cannot be reached.")
    laboratory("--seconds", "1", port: port) do
      server = OwnServer.new
      eventually { sent.reload.state == "imported" }
      expect(bag.first.laboratory_results.map(&:submission_id)).to eq [sent.id]
    end
  ensure
    ENV.delete("GRITTLE_LABORATORY")
    server&.kill
  end

  it "shows what a file would bring before it is imported" do
    Sample.make(profile, [{ kind: "bag", label: "B-07", upper_cm: 10 }])
    visit "/laboratory"
    click_button "Results from a file"
    file = Tempfile.create(["results", ".csv"])
    file.write("label;sand;clay;date\nb7;30;30;02.03.2026\n") && file.close
    attach_file "File, CSV", file.path
    click_button "Look at the file"
    expect(page).to have_css("[role='alert']", text: "There is no sample labelled “b7”.")
    File.write(file.path, "label;sand;clay;date\nB-7;30;30;02.03.2026\n")
    attach_file "File, CSV", file.path
    click_button "Look at the file"
    expect(page).to have_css("td", text: "Slope 1, B-07, 10 cm")
    find("[role='radio']", text: "Day first").click
    click_button "These are the samples: import"
    expect(page).to have_text("1 result was imported.")
    expect(LaboratoryResult.last.reported_on).to eq "2026-03-02"
  end
end
