# frozen_string_literal: true

# Finds out who asks and in which fieldbook, and lets through what they may.
class Access
  # The page says as whom it asks, so that what waited in it is never sent as somebody else's.
  ACCOUNT = "HTTP_GRITTLE_ACCOUNT"
  SIGN_IN = "Sign in first. What you gave is kept on this device."
  NO_FIELDBOOK = "You are a member of no fieldbook: begin one of your own, or ask for an invitation."
  NOT_YOURS = "There is no such fieldbook, or it is not open to you."

  # @param needs [Needs]
  def initialize(app, needs)
    @app = app
    @needs = needs
  end

  def call(env)
    needed = @needs.of(env["REQUEST_METHOD"], env["PATH_INFO"])
    return Problem.new(404, "There is nothing at #{env['PATH_INFO']}.").response(env) unless needed

    state = state(env, needed)
    return state.response(env) if state.is_a?(Problem)

    refusal = (other(env) unless needed == "nobody") || refuse(state, needed, env)
    refusal ? refusal.response(env) : Acting.as(at(state, env)) { @app.call(env) }
  end

  private

  # When it was given, where that was before it was sent.
  def at(state, env) = env["grittle.at"] ? Acting::State.new(**state.to_h, at: env["grittle.at"]) : state

  # @return [Acting::State, Problem]
  def state(env, needed)
    env["grittle.sign_in"] = sign_in = SignIn.of(SignInCookie.new(env).token)
    env["grittle.alone"] = sign_in.nil? && Reach.alone?
    book = env["grittle.fieldbook"]
    return alone(book) if env["grittle.alone"]
    return Acting::NOBODY unless sign_in

    member(sign_in.account, book) || no_member(sign_in.account, book, needed)
  end

  def alone(book)
    found = book ? Fieldbook.standing.find_by(id: book) : Fieldbook.first_of_all
    found ? Acting::State.new(fieldbook: found, role: "lead") : Problem.new(404, NOT_YOURS)
  end

  def member(account, book)
    all = account.memberships.joins(:fieldbook).merge(Fieldbook.standing).preload(:fieldbook, :observer)
    found = book ? all.find_by(fieldbook_id: book) : all.first
    found && Acting::State.new(account: account, fieldbook: found.fieldbook, person: found.observer, role: found.role)
  end

  # A fieldbook that is not theirs is none.
  def no_member(account, book, needed)
    return Problem.new(404, NOT_YOURS) if book && !%w[nobody account].include?(needed)

    Acting::State.new(account: account)
  end

  # The browser's other tab may have somebody else signed in by now.
  def other(env)
    said = env[ACCOUNT] or return
    now = env["grittle.sign_in"]&.account
    return if said == (now&.id || 0).to_s

    Problem.new(401, now ? "#{now.name} is signed in on this device now. Sign in again to go on." : SIGN_IN)
  end

  def refuse(state, needed, env)
    return if needed == "nobody" || (needed == "account" && (state.account || env["grittle.alone"]))
    return Problem.new(401, SIGN_IN) unless state.account || state.fieldbook
    return Problem.new(403, NO_FIELDBOOK) unless state.fieldbook
    return if Membership.enough?(state.role, needed)

    Problem.new(403, "A #{state.role} cannot do this: it takes a #{needed}.")
  end
end
