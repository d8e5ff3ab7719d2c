# frozen_string_literal: true

require "bcrypt"

# Somebody who signs in, with a password of which a digest is kept. Which fieldbooks are open to them, their memberships
# say. One that is closed signs in no more; what it wrote keeps its name.
class Account < ApplicationRecord
  has_secure_password validations: false
  # bcrypt takes no more bytes than this. [published: Provos and Mazières 1999]
  MOST_BYTES = 72
  # Characters. [published: NIST SP 800-63B-4, 3.1.1.2: at least 15 where nothing else is asked, 8 with a second factor;
  # our own: between them, with guessing slowed down]
  LEAST = 10
  SAYS = "At least #{LEAST} characters: a few words that nobody puts together".freeze
  # What is tried first. [from memory]
  COMMON = /\A(?:pass ?word|qwertz?|qwerty|letmein|welcome|grittle|(.)\1+|(?:0?123456789?0?)+)\d*\z/i
  # A password is compared also where there is no account, so that the time tells nothing.
  NOBODY = BCrypt::Password.create("nobody at all", cost: BCrypt::Engine.cost)

  has_many :memberships, -> { standing.order(:joined_at, :id) }, dependent: :restrict_with_exception,
                                                                inverse_of: :account
  has_many :sign_ins, dependent: :restrict_with_exception, inverse_of: :account

  scope :open, -> { where(closed_at: nil) }
  # Of the demo: they are gone into with one press.
  scope :weak, -> { where(demo: true, password_digest: nil) }

  # @return [Boolean] whether one person works alone on this machine: nobody was ever given an account
  def self.alone? = !exists?

  # @param login [String] an e-mail or a name to sign in with
  # @param password [String, nil] nil for an account of the demo
  # @return [Account]
  # @raise [Grittle::InvalidInput]
  def self.make(name: nil, login: nil, password: nil, demo: false)
    made = new(name: required_text(:name, name, "account").slice(0, 100), login: checked_login(login), demo: demo,
               created_at: Time.now.utc)
    made.password = checked_password(password, made) unless demo
    made.save!
    made
  rescue ActiveRecord::RecordNotUnique
    refuse(:login, "Somebody signs in as “#{login}” already. Take another.")
  end

  # Whoever comes first to a machine without accounts: all fieldbooks that are there are theirs.
  # @return [Account]
  # @raise [Grittle::InvalidInput]
  def self.make_first(name:, login:, password:)
    transaction do
      Fieldbook.order(:id).lock.first || Fieldbook.current # of two who are first at once, one is
      refuse("", "There is an account already: sign in.") unless alone?
      made = make(name: name, login: login, password: password)
      Fieldbook.standing.order(:id).each { |book| book.let_in(made, "lead", as: book.observers.find_by(name: name)) }
      made
    end
  end

  # @return [Account, nil] whose password it is
  def self.with(login, password)
    found = open.find_by(login: login.to_s.strip)
    digest = found&.password_digest
    right = (digest ? BCrypt::Password.new(digest) : NOBODY).is_password?(password.to_s.byteslice(0, MOST_BYTES))
    found if digest && right
  end

  # Signs out everywhere else.
  # @param keep [SignIn, nil] the one it is changed in
  # @raise [Grittle::InvalidInput]
  def change_password(password, keep: nil)
    transaction do
      update!(password: self.class.checked_password(password, self), demo: false)
      sign_ins.standing.where.not(id: keep&.id).update_all(ended_at: Time.now.utc)
    end
  end

  # @return [Boolean] whether the account could be entered without knowing anything
  def weak? = demo && password_digest.nil?

  def self.checked_login(login)
    login = login.to_s.strip
    return login if login.match?(/\A[^\s\p{Cntrl}]+(?: [^\s\p{Cntrl}]+)*\z/) && login.length.between?(2, 190)

    refuse(:login, "Sign in with an e-mail address or a name of 2 to 190 characters.")
  end

  # @api private
  def self.checked_password(password, account)
    password = password.to_s
    sentence =
      if password.length < LEAST then "A password has at least #{LEAST} characters."
      elsif password.bytesize > MOST_BYTES then "A password has at most #{MOST_BYTES} characters."
      elsif password.match?(COMMON) || [account.login, account.name].any? { |own| password.casecmp?(own) }
        "That password is guessed first. Take a few words that nobody puts together."
      end
    sentence ? refuse(:password, sentence) : password
  end

  def self.refuse(field, sentence)
    pointer = field == "" ? "" : "/#{field}"
    raise Grittle::InvalidInput, [Grittle::Problem.new(pointer: pointer, sentence: sentence)]
  end
  private_class_method :checked_login, :refuse
end
