# frozen_string_literal: true

# One picture of each main view, of the demo that runs at PORT. Called by bin/screenshots.

require "json"
require "net/http"
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

profiles = api("sites")["sites"].flat_map { |site| site["profiles"] }.to_h { |profile| [profile["name"], profile] }
horizon = ->(profile, name) { profiles.fetch(profile)["horizons"].find { |layer| layer["designation"] == name }["reading"]["id"] }
section = "/profiles/#{profiles.fetch('Sallow 1')['id']}"
ribbon = "/readings/#{horizon['Tare 2', 'Bt1']}"
more = "/readings/#{horizon['Tare 2', 'AB']}"
verdict = "/readings/#{horizon['Sallow 1', 'Cg1']}"

SHOTS = {
  "fieldbook" => ["/", Browser::DESK, "paper"],
  "fieldbook-phone" => ["/", Browser::PHONE, "paper"],
  "section" => [section, Browser::DESK, "paper"],
  "section-dusk" => [section, Browser::DESK, "dusk"],
  "triangle" => ["/triangle?sand=42&clay=19", Browser::DESK, "paper"],
  "triangle-phone" => ["/triangle?sand=42&clay=19", Browser::PHONE, "dusk"],
  "tests" => ["/tests", Browser::DESK, "paper"],
  "schools" => ["#{verdict}/schools", Browser::DESK, "paper"],
  "bench-more" => [more, Browser::DESK, "paper", "More"],
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
  driver.find_elements(css: "nav button").find { |key| key.text.start_with?(step) }&.click if step
  driver.execute_async_script("document.fonts.ready.then(() => setTimeout(arguments[0], 500))")
  driver.save_screenshot(File.join(FOLDER, "#{name}.png"))
  say "docs/screenshots/#{name}.png"
end
driver.quit
