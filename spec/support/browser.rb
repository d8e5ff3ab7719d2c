# frozen_string_literal: true

require "selenium-webdriver"

# Debian's headless Chromium, kept from asking anything of the network.
module Browser
  FLAGS = %w[--headless=new --no-sandbox --disable-gpu --disable-dev-shm-usage --disable-background-networking
             --disable-component-update --disable-sync --no-first-run --no-proxy-server
             --disable-features=OptimizationHints,MediaRouter,Translate --force-device-scale-factor=1 --lang=en-US
             --window-size=1280,800].freeze
  DESK = [1280, 800].freeze
  PHONE = [390, 844].freeze

  module_function

  # @param log [Boolean] whether what the page asks of the network is written down, which takes time of its own
  # @return [Selenium::WebDriver::Chrome::Options]
  def options(log: true)
    ENV["SE_OFFLINE"] = "true"
    options = Selenium::WebDriver::Chrome::Options.new(binary: "/usr/bin/chromium")
    FLAGS.each { |flag| options.add_argument(flag) }
    options.add_option("goog:loggingPrefs", { "browser" => "ALL", "performance" => "ALL" }) if log
    options
  end

  # @return [Selenium::WebDriver::Service]
  def service = Selenium::WebDriver::Service.chrome(path: "/usr/bin/chromedriver")

  # The window's frame takes part of its size: the page's own is set exactly.
  def size(driver, width, height)
    driver.execute_cdp("Emulation.setDeviceMetricsOverride", width: width, height: height, deviceScaleFactor: 1,
                                                             mobile: width < 700)
  end
end
