# frozen_string_literal: true

require "io/console"
require "optparse"
require_relative "place"
require_relative "../../db/prepare"

# What bin/account does, with the gems at hand.
module Accounts
  USAGE = "Usage: bin/account list | add LOGIN [--name NAME] [--role lead] [--fieldbook ID] | password LOGIN | " \
          "close LOGIN | open LOGIN"

  module_function

  def run(arguments)
    options = { role: "lead" }
    OptionParser.new do |o|
      o.on("--name NAME") { |name| options[:name] = name }
      o.on("--role ROLE") { |role| options[:role] = role }
      o.on("--fieldbook ID", Integer) { |id| options[:fieldbook] = id }
    end.parse!(arguments)
    command, login = arguments
    return list if command == "list"
    raise Stop, USAGE unless %w[add password close open].include?(command) && login

    command == "add" ? add(login, options) : send(command, found(login))
  rescue OptionParser::ParseError => e
    raise Stop, "#{e.message.capitalize}. #{USAGE}"
  rescue Grittle::Error => e
    raise Stop, e.message
  end

  def list
    say "nobody has an account" if Account.none?
    Account.order(:id).preload(memberships: :fieldbook).each do |one|
      roles = one.memberships.map { |membership| "#{membership.role} of #{membership.fieldbook.name}" }.join(", ")
      state = if one.closed_at then ", closed"
              elsif one.weak? then ", without a password"
              end
      puts "#{one.login}: #{one.name}, #{roles.empty? ? 'in no fieldbook' : roles}#{state}"
    end
  end

  def add(login, options)
    ApplicationRecord.one_of(:role, options[:role], Membership::ROLES)
    book = options[:fieldbook] ? Fieldbook.standing.find_by(id: options[:fieldbook]) : Fieldbook.first_of_all
    raise Stop, "There is no fieldbook #{options[:fieldbook]}." unless book

    name = options[:name] || login
    secret = asked
    Account.transaction do
      made = Account.make(name: name, login: login, password: secret)
      book.let_in(made, options[:role], as: book.observers.find_by(name: name))
    end
    say "#{name} is #{options[:role]} of #{book.name}"
  end

  def password(account)
    account.change_password(asked)
    say "#{account.name} has a new password and is signed out everywhere"
  end

  def close(account)
    account.update!(closed_at: Time.now.utc)
    account.sign_ins.standing.update_all(ended_at: Time.now.utc)
    say "#{account.name} signs in no more"
  end

  def open(account)
    account.update!(closed_at: nil)
    say "#{account.name} may sign in again"
  end

  def found(login)
    Account.find_by(login: login) || raise(Stop, "Nobody signs in as “#{login}”. See: bin/account list")
  end

  # @return [String]
  def asked
    return $stdin.gets.to_s.chomp unless $stdin.tty?

    first, second = ["Password: ", "Once more: "].map do |text|
      $stderr.print text
      $stdin.noecho(&:gets).to_s.chomp.tap { warn "" }
    end
    raise Stop, "The two are not the same. Nothing was changed." unless first == second

    first
  end
end

in_one_sentence do
  Prepare.run(demo: false)
  Accounts.run(ARGV)
rescue Prepare::Refused => e
  raise Stop, e.message
end
