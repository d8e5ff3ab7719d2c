# frozen_string_literal: true

# What one horizon costs at the bench, from "Texture" to the class assigned, with three ribbons: taps with the keypad,
# taps with the ruler, keys; and how long an action takes until the verdict has changed, in a real browser. Prints the
# table of the README. Makes a site of its own in the fieldbook of the server that runs; the machine should be idle
# otherwise:
#   BUNDLE_GEMFILE=Gemfile BUNDLE_PATH=vendor/bundle ruby -rbundler/setup bench/taps.rb [http://127.0.0.1:4600]

require "json"
require "net/http"
require "securerandom"
require_relative "../spec/support/browser"

BASE = ARGV[0] || "http://127.0.0.1:4600"
LENGTHS_MM = [52, 57, 49].freeze
# The most that each may cost.
AT_MOST = { "taps with the keypad" => 14, "taps with the ruler" => 11, "keys" => 16 }.freeze
READINGS = 20
WARM = 5
# Keys of the answers at the step Moisten.
FEELS = %w[1 2 3 4].freeze
P50_MS = 35
P95_MS = 60
# The page is drawn anew while it is looked at.
CHANGING = [
  Selenium::WebDriver::Error::NoSuchElementError,
  Selenium::WebDriver::Error::StaleElementReferenceError
].freeze
# Set off by a key, until the verdict has changed and is painted.
WATCH = <<~JS
  window.took = null
  let started = null
  addEventListener('keydown', () => (started = performance.now()), { once: true, capture: true })
  const watcher = new MutationObserver(() => {
    watcher.disconnect()
    requestAnimationFrame(() => setTimeout(() => (window.took = performance.now() - started)))
  })
  const verdict = document.querySelector("section[aria-label='Verdict so far']")
  watcher.observe(verdict, { subtree: true, childList: true, characterData: true, attributes: true })
JS

# One surveyor, who counts what they press.
class Surveyor
  attr_reader :count

  def initialize
    @browser = Selenium::WebDriver.for(:chrome, options: Browser.options, service: Browser.service)
    @wait = Selenium::WebDriver::Wait.new(timeout: 20, interval: 0.01, ignore: CHANGING)
    Browser.size(@browser, *Browser::DESK)
  end

  def open(path, see: "h1")
    @browser.get(BASE + path)
    see(see)
    @count = 0
  end

  def see(css) = @wait.until { @browser.find_elements(css: css).find(&:displayed?) }

  # @param said [String, Regexp] what the button says, or how it begins
  def press(said)
    said = /\A#{Regexp.escape(said)}/i if said.is_a?(String)
    @wait.until { @browser.find_elements(css: "button").find { |one| one.displayed? && one.text.match?(said) } }.click
    @count += 1
  end

  def tap_ruler(length)
    ruler = see("[data-ruler]")
    width = ruler.size.width
    # The scale of the ruler goes from 12 px to 20 px before its end, up to 100 mm.
    @browser.action.move_to(ruler, (12 + ((width - 32) * length / 100.0) - (width / 2)).round, 0).click.perform
    @count += 1
  end

  def type(*keys)
    keys.each do |key|
      @browser.action.send_keys(key).perform
      @count += 1
    end
  end

  def at(step)
    @wait.until { @browser.find_elements(css: "[aria-current='step']").any? { |one| one.text.start_with?(step) } }
  end

  def assigned = see("[data-assigned]")

  # @param key [String]
  # @return [Float] ms from the key to the verdict that changed by it
  def time(key)
    @browser.execute_script(WATCH)
    type(key)
    @wait.until { @browser.execute_script("return window.took") }
  end

  def quit = @browser.quit
end

def post(path, body)
  uri = URI(BASE + path)
  answer =
    Net::HTTP.post(
      uri,
      JSON.generate(body),
      "content-type" => "application/json",
      "idempotency-key" => SecureRandom.uuid
    )
  raise "#{path}: #{answer.code} #{answer.body[0, 200]}" unless answer.is_a?(Net::HTTPSuccess)

  JSON.parse(answer.body)
end

site = post("/api/sites", { name: "Taps counted" })
section = lambda do
  profile = post("/api/sites/#{site['id']}/profiles", { name: "Pit #{SecureRandom.hex(2)}", kind: "pit" })
  post("/api/profiles/#{profile['id']}/horizons", { designation: "A", upper_cm: 0, lower_cm: 30 })
  "/profiles/#{profile['id']}"
end

WAYS = {
  "taps with the keypad" => lambda { |surveyor|
    surveyor.press("Texture")
    surveyor.press("Already kneaded")
    surveyor.press("Yes")
    LENGTHS_MM.each_with_index do |mm, place|
      mm.digits.reverse.each { |digit| surveyor.press(/\A#{digit}\z/) }
      surveyor.press("Add") if place < LENGTHS_MM.size - 1
    end
    surveyor.press("Keep")
    surveyor.press("Neither")
    surveyor.at("Assign")
    surveyor.press("Assign ")
  },
  "taps with the ruler" => lambda { |surveyor|
    surveyor.press("Texture")
    surveyor.press("Already kneaded")
    surveyor.press("Yes")
    LENGTHS_MM.each_with_index { |mm, place| (place < LENGTHS_MM.size - 1 ? 2 : 1).times { surveyor.tap_ruler(mm) } }
    surveyor.press("Keep")
    surveyor.press("Neither")
    surveyor.at("Assign")
    surveyor.press("Assign ")
  },
  "keys" => lambda { |surveyor|
    surveyor.type("t")
    surveyor.at("Prepare")
    surveyor.type("k")
    surveyor.at("Ball")
    surveyor.type("1")
    surveyor.at("Ribbon")
    LENGTHS_MM.each { |mm| surveyor.type(*mm.to_s.chars, :enter) }
    surveyor.type(:enter)
    surveyor.at("Rub")
    surveyor.type("2")
    surveyor.at("Assign")
    surveyor.type(:enter)
  }
}.freeze

surveyor = Surveyor.new
begin
  puts "| from Texture to the class, three ribbons | now | at most |", "|---|---|---|"
  WAYS.each do |what, way|
    surveyor.open(section.call)
    way.call(surveyor)
    surveyor.assigned
    puts "| #{what} | #{surveyor.count} | #{AT_MOST.fetch(what)} |"
  end

  # Readings with ribbons of their own; how each kneads is answered in every way, so that nothing was assessed before.
  times = Array.new(READINGS + WARM) do |place|
    reading = post("/api/readings", { step: "moisten" })
    LENGTHS_MM.each do |mm|
      length = mm - place + rand.round(2)
      reading =
        post("/api/readings/#{reading['id']}/ribbons", { version: reading["version"], length: length, unit: "mm" })
    end
    surveyor.open("/readings/#{reading['id']}", see: "[data-test='mould_feel']")
    FEELS.map { |key| surveyor.time(key) }
  end.drop(WARM).flatten.sort
  puts format("| an answer until the verdict has changed, median | %.0f ms | %d ms |", times[times.size / 2], P50_MS)
  puts format("| the same, 95 of 100 | %.0f ms | %d ms |", times[(times.size * 0.95).floor], P95_MS)
ensure
  surveyor.quit
end
