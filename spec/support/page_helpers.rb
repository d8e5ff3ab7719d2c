# frozen_string_literal: true

require "capybara/rspec"
require_relative "browser"
require_relative "patient_driver"
require_relative "eventually"

Capybara.register_driver(:chromium) do |app|
  PatientDriver.new(app, browser: :chrome, options: Browser.options, service: Browser.service)
end
Capybara.app = WholeApp
ENV["GRITTLE_PROCESSES"] = "1" # the specs' own process serves, with its stubs
Capybara.server = :puma, { Silent: true, Threads: "1:5" }
Capybara.default_driver = :chromium
Capybara.default_max_wait_time = 30 # seconds; no measure of speed: those are in bench/
Capybara.disable_animation = true
Capybara.enable_aria_label = true

# A phone that has not been given the local authority's certificate: what it would trust, specs look at by themselves.
Capybara.register_driver(:phone) do |app|
  options = Browser.options(log: false).tap { |found| found.accept_insecure_certs = true }
  PatientDriver.new(app, browser: :chrome, options: options, service: Browser.service)
end

# Works the page as a person would.
module PageHelpers
  AXE = File.read(File.expand_path("../../web/node_modules/axe-core/axe.min.js", __dir__))
  # What the browser writes about answers of 4xx that a spec provokes, and about a network taken away.
  PROVOKED =
    /Failed to load resource: (the server responded with a status of 4|net::ERR_(INTERNET_DISCONNECTED|EMPTY_RESPONSE))/

  def chromium = page.driver.browser

  def at_size(width, height) = Browser.size(chromium, width, height)

  # Numbers begin anew with each example: what another left on the device would pass for this one's.
  def forget_device
    address = Capybara.current_session.server.base_url
    chromium.execute_cdp("Storage.clearDataForOrigin", origin: address, storageTypes: "indexeddb,local_storage")
  end

  # Types keys to the page as a whole, as at the bench.
  def type(*keys) = keys.each { |key| chromium.action.send_keys(key).perform }

  # Moves the focus on with Tab until it stands on the control of that name, as a person without a mouse does.
  def tab_to(name, limit: 60)
    limit.times do
      type(:tab)
      focused = chromium.switch_to.active_element
      return focused if [focused.accessible_name, focused.text].any? { |said| name === said }
    end
    raise "Tab never reached #{name}"
  end

  def step_now = find("nav[aria-label='Steps of this reading'] [aria-current='step']")

  # Back from the class, to which the bench goes by itself once the key is at its end.
  def back_from_the_end
    expect(step_now).to have_text("Assign")
    type(:backspace)
    expect(step_now).to have_text("More")
  end

  # All is kept, and the estimate is that of what was kept last.
  def expect_saved
    expect(page).to have_css("[role='status']", text: /\ASaved\z/).and have_no_css("[data-estimating]")
  end

  def push_ribbon(length)
    type(*length.to_s.chars, :enter)
    expect(page).to have_css("figure svg[aria-label*='#{length} mm']")
  end

  def theme=(name)
    page.execute_script("localStorage.setItem('grittle.theme', '#{name}')")
    page.refresh
  end

  # @return [Array<String>] what axe finds, one line a violation
  def axe_violations
    page.execute_script(AXE)
    found = page.evaluate_async_script("const done = arguments[0]; axe.run(document).then((r) => done(r.violations))")
    found.map do |violation|
      "#{violation['id']}: #{violation['nodes'].map { |node| node['html'][0, 160] }.first(3).join(' | ')}"
    end
  end

  # @return [Array<String>] what went wrong in the page's console
  def console_errors
    chromium.logs.get(:browser).select { |entry| entry.level == "SEVERE" }.map(&:message).grep_v(PROVOKED)
  end

  # @return [Array<String>] addresses asked for that are not this server's
  def foreign_requests
    own = Capybara.current_session.server.base_url
    asked = chromium.logs.get(:performance).filter_map do |entry|
      message = JSON.parse(entry.message)["message"]
      message.dig("params", "request", "url") if message["method"] == "Network.requestWillBeSent"
    end
    asked.reject { |url| url.start_with?(own, "data:", "blob:") }
  end
end

RSpec.configure do |config|
  config.include PageHelpers, type: :system
  config.include Capybara::DSL, type: :system
  config.include Capybara::RSpecMatchers, type: :system

  config.before(:each, type: :system) do
    at_size(*Browser::DESK)
    forget_device
  end
  # What is imported is taken in as by the server's own processes, while such a spec runs.
  config.around(:each, :imports) do |example|
    queue = Exchange::ImportQueue.start
    example.run
  ensure
    queue.kill
  end
  # Whatever a spec does, the console stays clean, nothing leaves the machine, and both cores agree.
  config.after(:each, type: :system) do
    expect(console_errors).to be_empty
    expect(foreign_requests).to be_empty
    # What the core said beside the page is what the server said.
    expect(page.evaluate_script("globalThis.grittleDifferences || []")).to be_empty
    Capybara.reset_sessions!
  end
end
