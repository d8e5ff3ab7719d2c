# frozen_string_literal: true

# What one horizon costs at the bench, from "Texture" to the class assigned, with three ribbons: taps with the keypad,
# taps with the ruler, keys; and how long an action takes until the key's verdict has changed, and until the estimate
# beside it has followed, in a real browser, with the server and without it. Prints the table of the README. Makes a
# site of its own in the fieldbook of the server that runs; the machine should be idle otherwise:
#   BUNDLE_GEMFILE=Gemfile BUNDLE_PATH=vendor/bundle ruby -rbundler/setup bench/taps.rb [http://127.0.0.1:4600]

require "json"
require "net/http"
require "securerandom"
require_relative "../spec/support/browser"
require_relative "demo_session"
require_relative "way"

BASE = ARGV[0] || "http://127.0.0.1:4600"
SIGNED_IN = DemoSession.headers(URI(BASE))
LENGTHS_MM = [52, 57, 49].freeze
# The most that each may cost.
AT_MOST = { "taps with the keypad" => 14, "taps with the ruler" => 11, "keys" => 16 }.freeze
READINGS = 30
# The first of a page, which the browser compiles meanwhile, and which do not count.
WARM = 5
# Until the core beside the page has come and is warm, and a fieldbook lies on the device, s.
CORE = 12
# Between two answers of a hand at the least, s.
PAUSE = 1
# What is measured: how it is called, its median and the highest of 95 in 100 at most, ms.
SAID = {
  "verdict" => ["an answer until the key's verdict has changed", 35, 50],
  "estimate" => ["an answer until the estimate beside it has followed", 100, 150]
}.freeze
# The page is drawn anew while it is looked at.
CHANGING = [
  Selenium::WebDriver::Error::NoSuchElementError,
  Selenium::WebDriver::Error::StaleElementReferenceError
].freeze
# Set off by a key, until the key's verdict has changed and is painted, and until the estimate beside it has followed.
WATCH = <<~JS
  window.took = {}
  window.watchers?.forEach((watcher) => watcher.disconnect())
  let started = null
  addEventListener('keydown', (event) => (started = event.timeStamp), { once: true, capture: true })
  const painted = (what) =>
    requestAnimationFrame(() => setTimeout(() => (window.took[what] ??= performance.now() - started)))
  const panel = document.querySelector("section[aria-label='Verdict so far']")
  const byKey = new MutationObserver(() => painted('verdict'))
  byKey.observe(panel.querySelector('[data-by-key]'), { subtree: true, childList: true, characterData: true })
  const followed = new MutationObserver(() => panel.hasAttribute('data-estimating') || painted('estimate'))
  followed.observe(panel, { attributeFilter: ['data-estimating'] })
  window.watchers = [byKey, followed]
JS

# One surveyor, who counts what they press.
class Surveyor
  attr_reader :count

  # @param base [String] the address of the server
  def initialize(base = BASE)
    @base = base
    @browser = Selenium::WebDriver.for(:chrome, options: Browser.options(log: false), service: Browser.service)
    @wait = Selenium::WebDriver::Wait.new(timeout: 20, interval: 0.01, ignore: CHANGING)
    Browser.size(@browser, *Browser::DESK)
    @browser.get(base)
    DemoSession.give(@browser, DemoSession.headers(URI(base)))
  end

  def open(path, see: "h1")
    @browser.get(@base + path)
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

  # @param key [String, Symbol]
  # @return [Hash{String=>Float}] ms from the key to the "verdict" of the printed key, and to the "estimate"
  def time(key)
    @wait.until { @browser.find_elements(css: "[data-estimating]").empty? }
    sleep PAUSE
    @browser.execute_script(WATCH)
    type(key)
    @wait.until { @browser.execute_script("return window.took.verdict && window.took.estimate && window.took") }
  end

  # Goes to another page of the application as it stands, as a surveyor does all day.
  def go(path, see:)
    @browser.execute_script(<<~JS, path)
      history.pushState({}, '', arguments[0])
      dispatchEvent(new PopStateEvent('popstate', { state: {} }))
    JS
    see(see)
  end

  def quit = @browser.quit
end

def post(path, body, verb = Net::HTTP::Post)
  uri = URI(BASE + path)
  request = verb.new(uri, "content-type" => "application/json", "idempotency-key" => SecureRandom.uuid,
                      **SIGNED_IN)
  request.body = JSON.generate(body)
  answer = Net::HTTP.start(uri.host, uri.port) { |http| http.request(request) }
  raise "#{path}: #{answer.code} #{answer.body[0, 200]}" unless answer.is_a?(Net::HTTPSuccess)

  JSON.parse(answer.body)
end

def patch(reading, **answers)
  post("/api/readings/#{reading['id']}", { version: reading["version"], answers: answers }, Net::HTTP::Patch)
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

  # Readings with a sand of their own, so that nothing was assessed before; each answer changes what the key says.
  measure = lambda do |paths|
    paths.flat_map do |path|
      surveyor.go(path, see: "[data-test='ball_holds']")
      ball = surveyor.time("1")
      surveyor.at("Ribbon")
      surveyor.type(*"52".chars)
      [ball, surveyor.time(:enter)]
    end.drop(2 * WARM)
  end
  ["with the server", "without it"].each do |how|
    paths = Array.new(READINGS + WARM) do
      reading = post("/api/readings", { step: "ball" })
      patch(reading, sand_estimate: { percent: rand(10.0..60.0).round(3), half_width: 6 })
      "/readings/#{reading['id']}"
    end
    way = Way.new(BASE)
    surveyor.quit
    surveyor = Surveyor.new(way.base)
    surveyor.open(paths.first, see: "[data-test='ball_holds']")
    sleep CORE
    way.shut if how == "without it"
    times = measure.call(paths)
    SAID.each do |what, (said, median, most)|
      sorted = times.map { |took| took[what] }.sort
      puts format("| %s, %s, median | %.0f ms | %d ms |", said, how, sorted[sorted.size / 2], median)
      puts format("| the same, 95 of 100 | %.0f ms | %d ms |", sorted[(sorted.size * 0.95).floor], most)
    end
  end
ensure
  surveyor.quit
end
