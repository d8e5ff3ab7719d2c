# frozen_string_literal: true

# One picture of each main view, of the demo that runs at PORT. Called by bin/screenshots.

require "json"
require "net/http"
require "tmpdir"
require "vips"
require_relative "place"
require_relative "../../spec/support/browser"

ADDRESS = "http://127.0.0.1:#{ENV.fetch('PORT')}".freeze
FOLDER = Place.at("docs/screenshots")
PATIENCE = 60 # seconds

def api(path)
  deadline = Process.clock_gettime(Process::CLOCK_MONOTONIC) + PATIENCE
  begin
    JSON.parse(Net::HTTP.get(URI("#{ADDRESS}/api/#{path}")))
  rescue SystemCallError, EOFError
    raise if Process.clock_gettime(Process::CLOCK_MONOTONIC) > deadline

    sleep 0.2
    retry
  end
end

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
card = "/profiles/#{tare['id']}/horizons/#{tare['horizons'].find { |layer| layer['designation'] == 'Bt' }['id']}"

# A table as a spreadsheet may write it, with three rows to mend.
TABLE = "Pit;Layer;Top (in);Bottom (in);Munsell;Texture;Lab no\nLow 1;Ap;0;7,5;10YR 4/3;loam;17\n" \
        "Low 1;Bt;7,5;20;brown;clay;18\n" \
        "Low 1;C;;40;2.5Y 5/4;loam;19\nLow 2;A;0;9;10YR 3/2;silt loam;20\nLow 2;B;8;24;;silty clay;21\n"

# What is done on a page before its picture is taken.
PRESS = ->(text) { ->(driver) { driver.find_elements(css: "button").find { |key| key.text.start_with?(text) }&.click } }
SEND_TABLE = lambda do |driver|
  file = File.join(Dir.mktmpdir, "Low Meadow.csv").tap { |path| File.write(path, TABLE) }
  driver.find_element(css: "input[type=file]").send_keys(file)
  Selenium::WebDriver::Wait.new(timeout: PATIENCE).until { driver.find_elements(css: "table").any? }
end

SHOTS = {
  "fieldbook" => ["/", Browser::DESK, "paper"],
  "fieldbook-phone" => ["/", Browser::PHONE, "paper"],
  "section" => [section, Browser::DESK, "paper"],
  "triangle" => ["/triangle?sand=42&clay=19", Browser::DESK, "paper"],
  "tests" => ["/tests", Browser::DESK, "paper"],
  "schools" => ["#{verdict}/schools", Browser::DESK, "paper"],
  "quick" => ["/readings", Browser::DESK, "paper"],
  "side-by-side" => [beside, Browser::DESK, "paper", ->(driver) { driver.execute_script("window.scrollTo(0, 9999)") }],
  "compare" => ["/compare?left=#{tare['id']}&right=#{sallow['id']}", Browser::DESK, "paper"],
  "import" => ["/import", Browser::DESK, "paper", SEND_TABLE],
  "card-phone" => [card, Browser::PHONE, "paper"],
  "bench-photo" => [ribbon, Browser::DESK, "paper", PRESS["On a photo"]],
  "interpretation" => ["/profiles/#{tare['id']}/interpretation", Browser::DESK, "paper"],
  "bench-ribbon" => [ribbon, Browser::DESK, "paper"],
  "bench-ribbon-phone" => [ribbon, Browser::PHONE, "paper"],
  "bench-verdict" => [verdict, Browser::DESK, "paper"],
  "bench-verdict-dusk" => [verdict, Browser::DESK, "dusk"],
  "bench-verdict-phone" => [verdict, Browser::PHONE, "paper"]
}.freeze

driver = Selenium::WebDriver.for(:chrome, options: Browser.options, service: Browser.service)
driver.get(ADDRESS)
SHOTS.each do |name, (path, size, theme, step)|
  driver.execute_script("localStorage.setItem('grittle.theme', arguments[0])", theme)
  Browser.size(driver, *size)
  driver.get("#{ADDRESS}#{path}")
  Selenium::WebDriver::Wait.new(timeout: PATIENCE).until { driver.find_elements(css: "h1").any? }
  step&.call(driver)
  driver.execute_async_script("document.fonts.ready.then(() => setTimeout(arguments[0], 500))")
  driver.save_screenshot(File.join(FOLDER, "#{name}.png"))
  say "docs/screenshots/#{name}.png"
end
driver.quit

# The first page of a field sheet, at 80 dots to the inch.
sheet = Net::HTTP.get(URI("#{ADDRESS}/api/export?format=pdf&of=profile&id=#{tare['id']}"))
Vips::Image.new_from_buffer(sheet, "", dpi: 80).pngsave(File.join(FOLDER, "field-sheet.png"), strip: true)
say "docs/screenshots/field-sheet.png"
