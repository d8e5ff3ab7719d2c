# frozen_string_literal: true

# Who is signed in, and where they may go; members and invitations. Addresses and passwords leave to nobody else.
module AccountSerializer
  module_function

  # @param account [Account, nil] nil where nobody is signed in
  # @param alone [Boolean] whether one person works on this machine without accounts
  # @param asked [Integer, nil] the fieldbook that the address names
  # @return [Hash] schema Session
  def session(account, alone:, asked: nil)
    memberships = account ? memberships(account) : []
    open = memberships.map { |one| fieldbook(one.fieldbook, one.role) }
    open = Fieldbook.standing.order(:id).map { |book| fieldbook(book, "lead") } if alone
    { alone: alone, account: account && own(account), fieldbooks: open,
      fieldbook: current(open, memberships, asked),
      first_account: first_account, password_says: Account::SAYS, demo: account ? [] : demo }
  end

  # @return [Hash] schema SignIn
  def sign_in(one, here)
    { id: one.id, device: device(one.device), begun_at: one.begun_at.iso8601, seen_at: one.seen_at.iso8601,
      here: one.id == here&.id }
  end

  BROWSERS = { "Edg" => "Edge", "OPR" => "Opera", "Firefox" => "Firefox", "Chrome" => "Chrome",
               "Safari" => "Safari" }.freeze
  SYSTEMS = { "Android" => "Android", "iPhone" => "iPhone", "iPad" => "iPad", "Windows" => "Windows",
              "Mac OS X" => "macOS", "Linux" => "Linux" }.freeze

  # What a browser calls itself, as a person would.
  # @param said [String, nil]
  # @return [String, nil]
  def device(said)
    known = [BROWSERS, SYSTEMS].map { |names| names.find { |sign, _| said.to_s.include?(sign) }&.last }.compact
    known.any? ? known.join(" on ") : said
  end

  # @param fieldbook [Fieldbook]
  # @param lead [Boolean] whether who asks manages them
  # @return [Hash] schema Members
  def members(fieldbook, lead:)
    members = fieldbook.memberships.preload(:account, :observer).order(:joined_at, :id).to_a
    others = fieldbook.observers.where.not(id: members.map(&:observer_id)).order(:name)
    { fieldbook: fieldbook.name, roles: Membership::ROLES.map { |value, says| { value: value, says: says } },
      members: members.map { |one| member(one, lead) }, people: others.map { |one| { id: one.id, name: one.name } },
      invitations: lead ? invitations(fieldbook) : [] }
  end

  # @return [Hash] schema Invitation
  def invitation(one)
    { id: one.id, role: one.role, note: one.note, as: one.observer&.name, made_at: one.made_at.iso8601,
      ends_at: one.ends_at.iso8601 }
  end

  # What whoever follows the link is asked.
  def invited(one)
    { fieldbook: one.fieldbook.name, role: one.role, says: Membership::ROLES.fetch(one.role), by: one.by.name,
      as: one.observer&.name, ends_at: one.ends_at.iso8601 }
  end

  def own(account) = { id: account.id, name: account.name, login: account.login, demo: account.weak? }

  def memberships(account)
    account.memberships.joins(:fieldbook).merge(Fieldbook.standing).preload(:fieldbook, :observer).to_a
  end

  def fieldbook(book, role)
    { id: book.id, name: book.name, role: role, writes: Membership.enough?(role, "surveyor"), leads: role == "lead" }
  end

  def current(open, memberships, asked)
    found = asked ? open.find { |one| one[:id] == asked } : open.first
    person = memberships.find { |one| one.fieldbook_id == found&.fetch(:id) }&.observer
    found && { **found, person: person && { id: person.id, name: person.name } }
  end

  # How the first account is made, where there is none yet.
  def first_account
    return unless Account.alone?

    Reach.network? ? "with the word" : "open"
  end

  def demo
    Account.open.weak.order(:id).preload(memberships: :observer).map do |one|
      { id: one.id, name: one.name, role: one.memberships.first&.role || "reader" }
    end
  end

  def member(one, lead)
    { id: one.id, version: one.lock_version, name: one.observer.name, account_name: one.account.name, role: one.role,
      person_id: one.observer_id, joined_at: one.joined_at.iso8601, you: one.account_id == Acting.account&.id,
      login: (one.account.login if lead) }
  end

  def invitations(fieldbook) = fieldbook.invitations.standing.order(:id).map { |one| invitation(one) }
  private_class_method :own, :memberships, :current, :first_account, :demo, :member, :invitations
end
