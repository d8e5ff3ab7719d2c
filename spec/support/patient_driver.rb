# frozen_string_literal: true

require "capybara/rspec"

# What was found may be gone with its page by the time it is looked at: ChromeDriver calls that an unknown error while
# the next page is loaded, and it is looked for again like any other element that went stale.
class PatientDriver < Capybara::Selenium::Driver
  def invalid_element_errors = [*super, Selenium::WebDriver::Error::UnknownError]
end
