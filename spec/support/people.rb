# frozen_string_literal: true

# Accounts and who is signed in, for specs of the API.
module People
  PASSWORD = "three wet boots"

  # @return [Account] a member of the fieldbook
  def member(name, role, fieldbook: Fieldbook.first_of_all, as: nil)
    Account.make(name: name, login: name.downcase, password: PASSWORD).tap do |account|
      fieldbook.let_in(account, role, as: as)
    end
  end

  # Everything asked from now on is asked by this account, in a browser of its own.
  def sign_in(account)
    clear_cookies
    _, token = SignIn.begin(account)
    set_cookie SignInCookie.new({ "SERVER_PORT" => "80", "rack.url_scheme" => "http" }).write(token)
  end

  def sign_out = clear_cookies
end

ActiveModel::SecurePassword.min_cost = true # digests that take no time

RSpec.configure do |config|
  config.include People, type: :api
  config.include People, type: :system
end
