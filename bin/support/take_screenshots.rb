# frozen_string_literal: true

# One picture of each main view, of the demo that runs at PORT. Called by bin/screenshots.

require "json"
require "net/http"
require "securerandom"
require "time"
require "tmpdir"
require "vips"
require_relative "place"
require_relative "server"
require_relative "../../bench/demo_session"
require_relative "../../spec/support/browser"
require_relative "../../spec/support/device_browser"

ADDRESS = "http://127.0.0.1:#{ENV.fetch('PORT')}".freeze
FOLDER = Place.at("docs/screenshots")
PATIENCE = 60 # seconds

# As the demo's lead.
# @return [Hash{String=>String}] headers
def signed_in
  deadline = Process.clock_gettime(Process::CLOCK_MONOTONIC) + PATIENCE
  begin
    @signed_in ||= DemoSession.headers(URI(ADDRESS))
  rescue SystemCallError, EOFError
    raise if Process.clock_gettime(Process::CLOCK_MONOTONIC) > deadline

    sleep 0.2
    retry
  end
end

def api(path) = JSON.parse(Net::HTTP.get(URI("#{ADDRESS}/api/#{path}"), signed_in))

listed = api("sites")["sites"].flat_map { |site| site["profiles"] }
profiles = listed.to_h { |profile| [profile["name"], api("profiles/#{profile['id']}")] }
horizon = lambda do |profile, name|
  profiles.fetch(profile)["horizons"].find { |layer| layer["designation"] == name }["reading"]["id"]
end
section = "/profiles/#{profiles.fetch('Sallow 1')['id']}"
ribbon = "/readings/#{horizon['Tare 2', 'Bt1']}"
verdict = "/readings/#{horizon['Sallow 1', 'Cg1']}"
palmful = api("readings")["readings"].first["id"]
beside = "/side-by-side?readings=#{[palmful, horizon['Tare 1', 'Bt'], horizon['Sallow 1', 'Cg1']].join(',')}"
tare, sallow = ["Tare 1", "Sallow 1"].map { |name| profiles.fetch(name) }

# A table as a spreadsheet may write it, with three rows to mend.
TABLE = "Pit;Layer;Top (in);Bottom (in);Munsell;Texture;Lab no\nLow 1;Ap;0;7,5;10YR 4/3;loam;17\n" \
        "Low 1;Bt;7,5;20;brown;clay;18\n" \
        "Low 1;C;;40;2.5Y 5/4;loam;19\nLow 2;A;0;9;10YR 3/2;silt loam;20\nLow 2;B;8;24;;silty clay;21\n"

def send_json(verb, path, body)
  headers = { "content-type" => "application/json", "idempotency-key" => SecureRandom.uuid, **signed_in }
  request = verb.new("/api/#{path}", headers)
  request.body = JSON.generate(body)
  answer = Net::HTTP.start(URI(ADDRESS).host, URI(ADDRESS).port) { |http| http.request(request) }
  JSON.parse(answer.body).tap { |made| raise made["detail"] if answer.code.to_i >= 400 }
end

def post(path, body) = send_json(Net::HTTP::Post, path, body)

# A companion test whose clocks began some minutes ago, with what was seen since.
# @param looks [Array<Array>] place, minutes after its start, what was seen
def running(test, profile, places, setup, minutes:, looks: [])
  began = Time.now.utc - (minutes * 60)
  sheet = post("companion-tests", { test: test, profile_id: profile["id"], places: places, setup: setup })
  post("companion-tests/#{sheet['id']}/begin", { at: began.iso8601 })
  looks.each do |place, after, value|
    at = (began + (after * 60)).iso8601
    post("companion-places/#{sheet['places'][place]['id']}/looks", { value: value, at: at })
  end
  sheet["id"]
end

# mm that three holes lost in their first half hours.
DROPS = [[38, 31, 27], [44, 37, 33], [33, 26, 22]].freeze
holes = DROPS.each_with_index.flat_map do |drops, hole|
  [[hole, hole * 2, { refilled: true }],
   *drops.each.with_index(1).map do |mm, reading|
     [hole, (hole * 2) + (reading * 30), { water_mm: 150 - mm, refilled: true }]
   end]
end
running("percolation", tare, Array.new(3) { |at| { label: "Hole #{at + 1}", upper_cm: 60 } },
        { radius_mm: 75, soak: "sand", gravel: true, temperature_c: 13 }, minutes: 117, looks: holes)
crumbs = [%w[a_little none], %w[fully none], %w[fully some]].each_with_index.map do |(slakes, milky), place|
  [place, 5, { slaking: slakes, dispersion: milky }]
end
running("crumb", tare, [10, 25, 50].map { |cm| { upper_cm: cm } }, { water: "rain", air_dry: true },
        minutes: 8, looks: crumbs)
running("jar", sallow, [{ label: "Jar 1", upper_cm: 30 }], { water_mm: 120, temperature_c: 16, dispersant: true },
        minutes: 42, looks: [[0, 1, { sand_mm: 9 }]])
running("ph", sallow, [{ upper_cm: 20 }], {}, minutes: 3)
report = post("reports", { profile_id: tare["id"], asked: { question: "Can the paddock take a seepage bed?",
                                                            client: "The parish", table_id: 1, base_cm: 40 } })["id"]
interpretation = "/profiles/#{tare['id']}/interpretation"
maren = api("hands")["people"].find { |person| person["name"] == "Maren" }["id"]
practice = api("practice")["sessions"].to_h { |session| [session["kind"], session] }
alone, group = practice.values_at("alone", "group").map { |session| session["id"] }
# Of the demo's sets and of Maren in both sessions.
KEYS = { "set/#{practice['group']['set_id']}" => "0" * 32, "session/#{alone}" => "101".rjust(32, "0"),
         "session/#{group}" => "101".rjust(32, "0") }.freeze

# Something that was changed.
layer = tare["horizons"][1].then do |one|
  [{ moist_colour: "10YR 6/3", described: { roots: "many" } }, { boundary: "gradual" }, { moist_colour: "2.5Y 6/3" }]
    .each_with_index do |change, done|
      send_json(Net::HTTP::Patch, "horizons/#{one['id']}", { version: one["version"] + done, **change })
    end
  one["id"]
end

# What is done on a page before its picture is taken.
SEND_TABLE = lambda do |driver|
  file = File.join(Dir.mktmpdir, "Low Meadow.csv").tap { |path| File.write(path, TABLE) }
  driver.find_element(css: "input[type=file]").send_keys(file)
  Selenium::WebDriver::Wait.new(timeout: PATIENCE).until { driver.find_elements(css: "table").any? }
end

SHOTS = {
  "fieldbook" => ["/", Browser::DESK, "paper"],
  "members" => ["/members", Browser::DESK, "paper"],
  "history" => ["/history/horizon/#{layer}", Browser::DESK, "paper"],
  "section" => [section, Browser::DESK, "paper"],
  "triangle" => ["/triangle?sand=42&clay=19", Browser::DESK, "paper"],
  "schools" => ["#{verdict}/schools", Browser::DESK, "paper"],
  "side-by-side" => [beside, Browser::DESK, "paper", ->(driver) { driver.execute_script("window.scrollTo(0, 9999)") }],
  "import" => ["/import", Browser::DESK, "paper", SEND_TABLE],
  "bench-ribbon" => [ribbon, Browser::DESK, "paper"],
  "bench-verdict" => [verdict, Browser::DESK, "paper"],
  "bench-verdict-phone" => [verdict, Browser::PHONE, "paper"],
  "interpretation" => [interpretation, Browser::DESK, "paper"],
  "hand" => ["/hands/#{maren}", Browser::DESK, "dusk"],
  "session" => ["/practice/sessions/#{alone}", Browser::DESK, "paper"],
  "people" => ["/practice/sessions/#{group}/comparison", Browser::DESK, "paper"],
  "timers" => ["/companion-tests", Browser::DESK, "paper"]
}.freeze

driver = Selenium::WebDriver.for(:chrome, options: Browser.options, service: Browser.service)
Browser.size(driver, *Browser::DESK)
driver.get(ADDRESS)
Selenium::WebDriver::Wait.new(timeout: PATIENCE).until { driver.find_elements(css: "h1").any? }
driver.execute_async_script("document.fonts.ready.then(() => setTimeout(arguments[0], 500))")
driver.save_screenshot(File.join(FOLDER, "sign-in.png"))
say "docs/screenshots/sign-in.png"
DemoSession.give(driver, signed_in)
SHOTS.each do |name, (path, size, theme, step)|
  driver.execute_script("localStorage.setItem('grittle.theme', arguments[0])", theme)
  driver.execute_script("localStorage.setItem('grittle.keys', arguments[0])", JSON.generate(KEYS))
  Browser.size(driver, *size)
  driver.get("#{ADDRESS}#{path}")
  Selenium::WebDriver::Wait.new(timeout: PATIENCE).until { driver.find_elements(css: "h1").any? }
  step&.call(driver)
  driver.execute_async_script("document.fonts.ready.then(() => setTimeout(arguments[0], 500))")
  driver.save_screenshot(File.join(FOLDER, "#{name}.png"))
  say "docs/screenshots/#{name}.png"
end

# A phone that had the fieldbook once, and has no signal: at the bench, what waits, and what somebody else has changed
# by the time the signal is back.
class WithoutSignal
  GAP = 24 # px between the pictures
  # Whether all that the page needs lies on the phone.
  HERE = "const done = arguments[0]; navigator.serviceWorker.ready.then(() => #{DeviceBrowser::KEPT}).then(done)".freeze

  # @param server [Server] one of its own, that can be stopped
  def initialize(driver, server)
    @driver = driver
    @server = server.start
    # The page is drawn anew while it is looked at.
    @wait = Selenium::WebDriver::Wait.new(timeout: PATIENCE, ignore: Selenium::WebDriver::Error::WebDriverError)
    @pictures = []
    Browser.size(driver, *Browser::PHONE)
    open("/")
    DemoSession.give(driver, DemoSession.headers(server.address))
    open("/")
    @wait.until { driver.execute_async_script(HERE) }
    server.stop
  end

  def open(path)
    @driver.get("#{@server.address}#{path}")
    see("h1")
  end

  def see(css) = @wait.until { @driver.find_elements(css: css).find(&:displayed?) }
  def press(css, said) = @wait.until { @driver.find_elements(css: css).find { |one| one.text.start_with?(said) } }.click
  def type(*keys) = keys.each { |key| @driver.action.send_keys(key).perform }

  def picture(css)
    see(css)
    @driver.execute_async_script("document.fonts.ready.then(() => setTimeout(arguments[0], 500))")
    @pictures << Vips::Image.new_from_buffer(@driver.screenshot_as(:png), "")
  end

  def signal_again = @server.start

  def save(path) = Vips::Image.arrayjoin(@pictures, shim: GAP, background: 255).pngsave(path, strip: true)
end

server = Server.new({})
phone = WithoutSignal.new(driver, server)
phone.open("/profiles/#{sallow['id']}/horizons/#{sallow['horizons'][0]['id']}")
phone.press("nav[aria-label='What is described'] button", "Structure")
phone.press("[role='group'][aria-label='Structure'] button", "Weak")
phone.see("[data-saved]")
phone.open("/")
phone.press("button, a", "Quick reading")
phone.press("button", "Already kneaded")
phone.press("[data-test='ball_holds'] button", "Yes")
[48, 52, 55].each { |mm| phone.type(*mm.digits.reverse.map(&:to_s), :enter) }
phone.picture("figure svg[aria-label*='55 mm']")
phone.open("/device")
phone.picture("[data-device-state]")
layer = api("profiles/#{sallow['id']}")["horizons"][0]
send_json(Net::HTTP::Patch, "horizons/#{layer['id']}",
          { version: layer["version"], described: { structure_grade: "strong" } })
phone.signal_again
phone.open("/device")
phone.picture("[data-theirs]")
phone.save(File.join(FOLDER, "without-signal.png"))
say "docs/screenshots/without-signal.png"
driver.quit
server.stop

# The second page of a report: its first is the contents.
pages = Net::HTTP.get(URI("#{ADDRESS}/api/reports/#{report}/pdf"), signed_in)
Vips::Image.new_from_buffer(pages, "", dpi: 80, page: 1).pngsave(File.join(FOLDER, "report.png"), strip: true)
say "docs/screenshots/report.png"
