# frozen_string_literal: true

require "json"
require "net/http"

# A sign-in to the demo of a running server, for scripts that speak to it; nothing where one works alone there.
module DemoSession
  module_function

  # @param address [URI]
  # @param role [String]
  # @return [Hash{String=>String}] headers of whatever is asked from now on
  def headers(address, role: "lead")
    Net::HTTP.start(address.host, address.port) do |http|
      found = JSON.parse(http.get("/api/session").body)
      one = found["demo"].find { |account| account["role"] == role } or return {}

      answer = http.post("/api/session/demo", JSON.generate(account_id: one["id"]),
                         "content-type" => "application/json")
      { "cookie" => answer["set-cookie"][/\A[^;]+/] }
    end
  end

  # The same in a browser, which stands on a page of that address.
  # @param driver [Selenium::WebDriver::Driver]
  # @param headers [Hash{String=>String}] as #headers
  def give(driver, headers)
    name, value = headers["cookie"]&.split("=", 2)
    driver.manage.add_cookie(name: name, value: value, http_only: true, same_site: "Strict") if name
  end
end
