# frozen_string_literal: true

require_relative "../support/own_server"
require_relative "../support/device_browser"
require_relative "../../db/demo_picture"

# A day at the pits: the server is gone, the device goes on, and may be killed and begun again.
RSpec.describe "Without signal" do
  let(:server) { OwnServer.new("GRITTLE_PROCESSES" => "1") }
  let(:device) { DeviceBrowser.new(server.address) }
  let(:picture) { File.join(Dir.mktmpdir, "pit.jpg").tap { |path| File.binwrite(path, DemoPicture.call) } }

  after do
    device.quit
    server.kill
  end

  it "a profile is made, textured with a photograph, read down and interpreted, and all is there once" do
    device.visit_once
    server.stop
    device.visit "/"
    make_profile
    texture("A", %w[18 17], "Neither gritty nor smooth", "loam", "Go on with Bt", picture: picture)
    texture("Bt", %w[62 60], "Neither gritty nor smooth", "clay", "Go on with C")
    texture("C", %w[36 35], "Very smooth", "silty clay loam", "See the section")
    expect(device).to have_css("[data-horizon='Bt']", text: "clay")
    device.visit "#{device.current_path}/interpretation"
    expect(device).to have_css("h1").and have_text("Does it matter to be one class away?")
    expect(device.errors).to eq []
    device.kill
    device.visit "/"
    expect(device).to have_text("wait on this device")
    server.start
    expect { [Site.count, Profile.count, Horizon.count, Reading.count, Ribbon.count, Photo.count] }
      .to eventually_be([1, 1, 3, 3, 6, 1])
    expect { Reading.pluck(:classed) }.to eventually_be([true] * 3)
    expect(device).to have_no_text("wait on this device")
    expect(Profile.last.horizons.map { |layer| layer.class_given.name }).to eq ["loam", "clay", "silty clay loam"]
  end

  it "somebody else changes the same horizon meanwhile: both versions are shown, and one is chosen" do
    horizon = profile_with(["A", 0, 20]).horizons.first
    device.visit_once
    server.stop
    device.visit "/profiles/#{horizon.profile_id}/horizons/#{horizon.id}"
    device.find("nav[aria-label='What is described'] button", text: "Structure").click
    device.find("[role='group'][aria-label='Structure'] button", text: "Weak").click
    expect(device).to have_css("[data-saved]", text: "Kept on this device: 1 entry")
    horizon.change(horizon.lock_version, { described: { structure_grade: "strong" } })
    server.start
    device.visit "/device"
    expect(device).to have_css("[data-theirs]", text: "strong").and have_css("[data-yours]", text: "weak")
    expect(device).to have_css("article", text: "Horizon Slope 1 A: changed there meanwhile")
    expect(horizon.reload.seen).to eq("structure_grade" => "strong")
    # What waits outlives a newer version of the page, which waits as well until it is taken.
    take_newer_page
    device.find("input[type='file']", visible: :all).set(__FILE__)
    expect(device).to have_css("[role='alert']", text: /\AThis is no file of unsent work/)
    expect(device).to have_css("[data-theirs]", text: "strong").and have_css("[data-yours]", text: "weak")
    device.click_button "Save mine on top"
    expect(device).to have_css("[data-device-state]", text: "All is sent.")
    expect(horizon.reload.seen).to eq("structure_grade" => "weak")
  end

  it "somebody else changes a row of the same table meanwhile: of that one is chosen, the others are saved" do
    profile = profile_with(["A", 0, 20], ["B", 20, 60])
    above, below = profile.horizons.to_a
    device.visit_once
    server.stop
    write_table(profile, "Horizon, row 1" => "Ap", "Note, row 2" => "stony")
    write_table(profile, "Horizon, row 1" => "Ap1")
    above.change(above.lock_version, { designation: "Ah", described: { roots: "few" } })
    server.start
    device.visit "/device"
    expect(device).to have_css("article", text: "Table of horizons Slope 1: changed there meanwhile")
    expect(device).to have_css("tr", text: "Ah, designation Ah Ap").and have_css("[data-theirs]", count: 1)
    device.click_button "Save mine on top"
    # What was written later was written on this one: it is no conflict of its own.
    expect(device).to have_css("[data-device-state]", text: "All is sent.")
    expect(profile.reload.horizons.map { |layer| [layer.designation, layer.seen] })
      .to eq [["Ap1", { "roots" => "few" }], ["B", { "note" => "stony" }]]
    server.stop
    write_table(profile, "Horizon, row 2" => "Bt")
    below.reload.change(below.lock_version, { designation: "Bg" })
    server.start
    device.visit "/device"
    device.click_button "Keep what is saved"
    expect(device).to have_css("[data-device-state]", text: "All is sent.")
    server.stop
    device.visit "/profiles/#{profile.id}"
    expect(device).to have_css("[data-horizon='Bg']").and have_no_css("[data-horizon='Bt']")
    expect(device.errors).to eq []
  end

  it "another person on the same device sees nothing of it; what is unsent waits for its own" do
    member("Lea", "lead")
    member("Odd", "surveyor")
    device.visit "/"
    enter("Lea")
    device.wait_until_kept
    server.stop
    device.visit "/"
    add_site
    expect(device).to have_text("wait on this device").or have_text("waits on this device")
    # Somebody has ended it meanwhile: whoever comes in next comes in anew.
    SignIn.delete_all
    server.start
    device.visit "/"
    enter("Odd")
    device.visit "/device"
    expect(device).to have_css("[data-device-state]", text: "All is sent.").and have_no_text("Low Meadow")
    expect(device).to have_text("Refresh the copy")
    expect(Site.count).to eq 0
    device.visit "/account"
    device.click_button "Sign out"
    enter("Lea")
    expect { Site.pluck(:name) }.to eventually_be(["Low Meadow"])
    device.visit "/device"
    expect(device).to have_css("[data-device-state]", text: "All is sent.")
  end

  # The server brings a service worker of another build meanwhile.
  def take_newer_page
    worker = File.expand_path("../../web/dist/sw.js", __dir__)
    built = File.binread(worker)
    File.binwrite(worker, "#{built}\n// Another build\n")
    device.visit "/device"
    expect(device).to have_text("A newer version of the page is ready.")
    device.click_button "Use it"
    expect(device).to have_no_text("A newer version of the page is ready.")
  ensure
    File.binwrite(worker, built)
  end

  def write_table(profile, cells)
    device.visit "/profiles/#{profile.id}/table"
    cells.each { |cell, text| device.fill_in cell, with: text }
    device.click_button "Save the table"
    expect(device).to have_css("[role='status']", text: "2 horizons are saved.")
  end

  def enter(login)
    device.fill_in "Name or e-mail", with: login
    device.fill_in "Password", with: People::PASSWORD
    device.click_button "Sign in"
    expect(device).to have_css("h1", text: "Fieldbook")
  end

  def add_site
    device.click_button "Add the first site"
    device.fill_in "Name", with: "Low Meadow"
    device.click_button "Add the site"
    expect(device).to have_text("Open the profile")
  end

  def make_profile
    add_site
    device.click_on "Open the profile"
    device.click_on "Add the first horizon"
    [["A", 20], ["Bt", 45], ["C", 90]].each do |designation, lower|
      device.fill_in "Designation", with: designation
      device.fill_in "Lower depth", with: lower
      device.click_button(designation == "C" ? "Add the horizon" : "Add, then another")
      expect(device).to have_text("#{designation} is added.") unless designation == "C"
    end
    device.click_on "Texture A"
  end

  def texture(horizon, lengths, rub, name, onward, picture: nil)
    expect(device).to have_css("h1")
    device.click_button "Already kneaded: ball" if horizon == "A"
    device.find("[data-test='ball_holds'] button", text: "Yes").click
    push(lengths)
    photograph(picture) if picture
    device.click_button "Next: rub a pinch"
    device.find("[data-test='wet_rub'] button", text: rub).click
    device.find(:button, text: /\AAssign #{name}\b\s*\d?\z/).click
    expect(device).to have_css("[data-assigned]", text: name)
    device.click_on onward
  end

  def push(lengths)
    pad = "[aria-label^='Length of ribbon'] button"
    lengths.each_with_index do |mm, at|
      mm.chars.each { |digit| device.find(pad, text: digit, exact_text: true).click }
      device.click_button "Add ribbon #{at + 1}"
      expect(device).to have_css("figure svg[aria-label*='#{mm} mm']")
    end
  end

  def photograph(file)
    device.click_button "On a photo"
    device.find("[role='dialog'] input[type='file']", visible: :all).set(file)
    expect(device).to have_css("[role='application'] img")
    device.click_button "Close"
  end
end
