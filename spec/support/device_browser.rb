# frozen_string_literal: true

require "tmpdir"
require_relative "browser"

# A phone with a browser of its own, which keeps what a page lays onto the device also when it is killed.
class DeviceBrowser
  # What the browser writes when there is no server.
  GONE = /net::ERR_CONNECTION_REFUSED|net::ERR_FAILED|Failed to load resource/

  # Asks whether a fieldbook lies on the device.
  KEPT = <<~JS
    indexedDB.databases().then((all) => {
      const own = all.find(({ name }) => name.startsWith('grittle.'))
      return !!own && new Promise((done) => {
        const asked = indexedDB.open(own.name)
        asked.onsuccess = () => {
          const count = asked.result.transaction('books').objectStore('books').count()
          count.onsuccess = () => { asked.result.close(); done(count.result > 0) }
        }
      })
    })
  JS

  # @param address [URI] of the server
  def initialize(address)
    @address = address
    @folder = Dir.mktmpdir
    open
  end

  # Everything a page can do.
  def method_missing(name, *given, **named, &) = @session.public_send(name, *given, **named, &)
  def respond_to_missing?(name, *) = @session.respond_to?(name)

  def visit(path) = @session.visit("#{@address.to_s.chomp('/')}#{path}")

  # Until all that the page needs lies on the device.
  def visit_once(path = "/")
    visit(path)
    @session.assert_selector("h1")
    wait_until_kept
  end

  def wait_until_kept
    wait("navigator.serviceWorker.ready.then((found) => !!found.active)")
    wait(KEPT)
  end

  # The browser is killed and begun again.
  def kill
    @session.driver.browser.quit
    open
  end

  def type(*keys) = keys.each { |key| @session.driver.browser.action.send_keys(key).perform }

  # @return [Array<String>] what went wrong in the page, but for a server that is not there
  def errors
    found = @session.driver.browser.logs.get(:browser).select { |entry| entry.level == "SEVERE" }
    found.map(&:message).grep_v(GONE)
  end

  def quit
    @session.quit
    FileUtils.rm_rf(@folder)
  end

  private

  def open
    folder = @folder
    Capybara.register_driver(:device) do |app|
      options = Browser.options.tap { |found| found.add_argument("--user-data-dir=#{folder}") }
      PatientDriver.new(app, browser: :chrome, options: options, service: Browser.service)
    end
    @session = Capybara::Session.new(:device)
    Browser.size(@session.driver.browser, *Browser::PHONE)
  end

  # @param promise [String] script
  def wait(promise)
    script = "const done = arguments[0]; (#{promise.strip}).then(done, () => done(false))"
    Timeout.timeout(60) { nil until @session.evaluate_async_script(script) }
  end
end
