# frozen_string_literal: true

require "net/http"
require "tmpdir"
require_relative "../../bin/support/certificates"
require_relative "../support/own_server"

# Several people on one fieldbook, each in a browser of their own.
RSpec.describe "Several people" do
  def enter(login)
    fill_in "Name or e-mail", with: login
    fill_in "Password", with: People::PASSWORD
    click_button "Sign in"
    expect(page).to have_css("h1", exact_text: "Fieldbook")
  end

  def fill_account(name)
    fill_in "Your name, as it stands on readings", with: name
    fill_in "Name or e-mail to sign in with", with: name.downcase
    fill_in "Password", with: People::PASSWORD
  end

  # A browser that goes when it is done: one that stayed would be cleared after every spec.
  def in_another_browser(&)
    browser = Capybara::Session.new(:chromium, WholeApp)
    Capybara.using_session(browser, &)
  ensure
    browser.quit
  end

  # Somebody without an account follows the link.
  def join(link, name)
    visit link[%r{/invitation#.*}]
    expect(page).to have_css("h1", text: "Lea invites you to Fieldbook")
    fill_account(name)
    click_button "Join"
    expect(page).to have_css("h1", exact_text: "Fieldbook")
  end

  def texture(profile)
    visit "/profiles/#{profile.id}"
    click_button "Texture A"
    expect(page).to have_css("h1", text: "Ready the sample")
    find("nav[aria-label='Steps of this reading'] button", text: "Rub").click
    expect_saved
  end

  it "from working alone to a second person, whose reading stays theirs" do
    profile = profile_with(["A", 0, 30])
    visit "/members"
    expect(page).to have_text("You work alone on this machine")
    click_link "Make your account"
    fill_account("Lea")
    click_button "Make the account"
    click_button "Invite somebody"
    click_button "Make the link"
    link = find("output").text
    in_another_browser do
      join(link, "Odd")
      texture(profile)
      type("3")
      expect_saved
    end
    reading = Reading.last
    visit "/readings/#{reading.id}"
    expect(page).to have_text("This is Odd’s reading.")
    type("1")
    expect(page).to have_css("[role='alert']", text: "Not changed. This is Odd’s reading.")
    click_button "Texture it myself"
    expect(page).to have_css("h1", text: "Ready the sample").and have_no_text("This is Odd’s reading.")
    expect(page).to have_current_path("/readings/#{Reading.last.id}")
    expect(Reading.order(:id).map { |one| one.textured_by.name }).to eq %w[Odd Lea]
    expect(reading.reload.lock_version).to eq 1
  end

  it "lets a reader look everywhere, and offers nothing that changes" do
    profile = profile_with(["A", 0, 30])
    member("Lea", "lead")
    member("Rea", "reader")
    visit "/"
    enter("rea")
    expect(page).to have_text("You read this fieldbook")
    ["Add site", "Quick reading", "Import"].each { |name| expect(page).to have_no_button(name).and have_no_link(name) }
    visit "/profiles/#{profile.id}"
    expect(page).to have_css("h1", text: "Slope 1").and have_no_button("Add horizon").and have_no_button("Texture A")
    find("header").click_button("More")
    click_link "History"
    expect(page).to have_css("h1", text: "History")
  end

  it "keeps answers over a sign-in that has ended, for the person who gave them and nobody else" do
    profile = profile_with(["A", 0, 30])
    member("Lea", "lead")
    odd = member("Odd", "surveyor")
    visit "/"
    enter("odd")
    texture(profile)
    SignIn.update_all(ended_at: Time.now.utc)
    type("3")
    expect(page).to have_css("[role='dialog']",
                             text: "Sign in again").and have_text(/(entry waits|entries wait) on this device for Odd/)
    # Somebody else at the same device: what waits is not sent as theirs.
    within("[role='dialog']") do
      fill_in "Name or e-mail", with: "lea"
      fill_in "Password", with: People::PASSWORD
      click_button "Sign in"
    end
    expect(page).to have_css("h1", exact_text: "Fieldbook")
    expect(page).to have_text("lead")
    expect(Answer.count).to eq 0
    visit "/account"
    click_button "Sign out"
    enter("odd")
    expect { Answer.count }.to eventually_be(1)
    expect(Answer.last.recorded_by).to eq odd.memberships.first.observer
  end

  it "works by the keyboard alone from the door to the members" do
    member("Lea", "lead")
    visit "/"
    tab_to("Name or e-mail").send_keys("lea")
    tab_to("Password").send_keys(People::PASSWORD, :enter)
    expect(page).to have_css("h1", exact_text: "Fieldbook")
    tab_to("Members")
    type(:enter)
    expect(page).to have_css("h1", text: "Members")
    tab_to("Invite somebody")
    type(:enter)
    expect(page).to have_css("[role='dialog']", text: "Invite somebody")
    tab_to("Make the link")
    type(:enter)
    expect(page).to have_css("output", text: "/invitation#")
  end

  it "has two fieldbooks open in two tabs, each below its address" do
    lead = member("Lea", "lead")
    second = Fieldbook.make("Second valley", lead)
    Acting.in(second) { Site.make(name: "There") }
    Site.make(name: "Here")
    visit "/"
    enter("lea")
    expect(page).to have_text("Here").and have_no_text("There")
    click_link "Second valley"
    expect(page).to have_css("h1", text: "Second valley").and have_text("There").and have_no_text("Here")
    click_button "Quick reading"
    expect(page).to have_current_path(%r{\A/fieldbooks/#{second.id}/readings/\d+\z})
    type("1")
    expect_saved
    expect(Reading.last.sample.fieldbook).to eq second
  end

  # axe and the phone's width, at each of these pages.
  { Browser::DESK => "paper", Browser::PHONE => "dusk" }.each do |size, theme|
    it "has no violation that axe finds at #{size.join(' x ')}, and nothing wider than the page" do
      lead = member("Lea", "lead")
      member("A name that is as long as names of surveyors are at times", "surveyor")
      Observer.named("Wren")
      site = Site.make(name: "Slope")
      Acting.as(Acting::State.new(person: lead.memberships.first.observer)) { site.change(0, name: "Upper slope") }
      invitation = Invitation.make(Fieldbook.current, by: lead, role: "reader").last
      at_size(*size)
      check = lambda do |name|
        self.theme = theme
        expect(page).to have_css("h1", visible: :all)
        expect(axe_violations).to be_empty, -> { "#{name}: #{axe_violations.join("\n")}" }
        expect(page.evaluate_script("document.documentElement.scrollWidth")).to be <= size.first, name
      end
      ["/", "/invitation##{invitation}", "/invitation#gone"].each do |path|
        visit path
        check.call(path)
      end
      visit "/"
      enter("lea")
      ["/members", "/account", "/network", "/history/site/#{site.id}", "/bin"].each do |path|
        visit path
        check.call(path)
      end
      visit "/fieldbooks/#{Fieldbook.make('Not hers', nil).id}/"
      expect(page).to have_css("h1", text: "No fieldbook here")
      check.call("no fieldbook")
    end
  end

  it "takes a phone in over TLS, by a certificate of the local authority, and textures there" do
    dir = Dir.mktmpdir
    certificates = Certificates.new(dir: dir, addresses: ["127.0.0.2"], names: ["localhost"]).tap(&:renew)
    member("Lea", "lead")
    port = OwnServer.free_port
    server = OwnServer.new("GRITTLE_LAN" => "127.0.0.2", "GRITTLE_NETWORK" => "1", "GRITTLE_HOSTS" => "127.0.0.2",
                           "GRITTLE_TLS_PORT" => port.to_s, "GRITTLE_AUTHORITY" => certificates.authority_path,
                           "GRITTLE_CERTIFICATE" => certificates.certificate_path,
                           "GRITTLE_CERTIFICATE_KEY" => certificates.key_path, "GRITTLE_PROCESSES" => "1")
    Net::HTTP.start("127.0.0.2", port, use_ssl: true, ca_file: certificates.authority_path) do |http|
      expect(http.get("/api/ready").code).to eq "200" # trusted by whoever has the authority
    end
    phone = Capybara::Session.new(:phone)
    Browser.size(phone.driver.browser, *Browser::PHONE)
    phone.visit("https://127.0.0.2:#{port}/")
    phone.fill_in "Name or e-mail", with: "lea"
    phone.fill_in "Password", with: People::PASSWORD
    phone.click_button "Sign in"
    phone.click_button "Quick reading"
    expect(phone).to have_css("h1", text: "Ready the sample")
    phone.find("nav[aria-label='Steps of this reading'] button", text: "Rub").click
    phone.driver.browser.action.send_keys("3").perform
    expect { Answer.count }.to eventually_be(1)
    cookie = phone.driver.browser.manage.all_cookies.first
    expect(cookie).to include(name: "__Host-grittle-#{port}", secure: true, http_only: true, same_site: "Strict")
  ensure
    phone&.quit
    server&.kill
    FileUtils.rm_rf(dir)
  end
end
