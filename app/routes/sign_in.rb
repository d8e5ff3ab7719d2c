# frozen_string_literal: true

module Routes
  # Who is here: signing in and out, the first account, passwords.
  module SignIn
    S = AccountSerializer
    WRONG = "That name and that password do not go together."

    def self.registered(app)
      app.get("/api/session") { answer_session_now }

      app.post "/api/session" do
        sign_in(known(input[:login], input[:password]) || refuse(Problem.new(422, WRONG)))
        answer_session_now
      end

      app.post "/api/session/demo" do
        sign_in(Account.open.weak.find(input[:account_id]))
        answer_session_now
      end

      app.delete "/api/session" do
        env["grittle.sign_in"]&.end_now
        headers "set-cookie" => SignInCookie.new(env).erase, "clear-site-data" => '"cache"'
        env["grittle.sign_in"] = nil
        answer({})
      end
      accounts(app)
      app.helpers Signing
    end

    def self.accounts(app)
      app.post "/api/accounts/first" do
        known = !Reach.network? || Rack::Utils.secure_compare(Reach.first_word, input[:word].to_s.strip)
        wrong(:word, "That is not the word in #{Reach::FIRST_WORD_IN}.") unless known
        sign_in(Account.make_first(**input.slice(:name, :login, :password)))
        answer_session_now(201)
      end

      app.put "/api/account/password" do
        account = Acting.account || refuse(Problem.new(422, "You work alone, without an account."))
        wrong(:old, "That is not your password.") unless account.weak? || known(account.login, input[:old])
        account.change_password(input[:password], keep: env["grittle.sign_in"])
        answer_session_now
      end

      app.get("/api/account/sign-ins") { answer(sign_ins: own_sign_ins.map { |one| S.sign_in(one, here) }) }

      app.delete "/api/account/sign-ins/:id" do
        own_sign_ins.find(params[:id]).end_now
        answer(sign_ins: own_sign_ins.map { |one| S.sign_in(one, here) })
      end
    end

    # The browser that asks.
    module Signing
      def here = env["grittle.sign_in"]
      def asked_from = Reach.address(env)
      def own_sign_ins = ::SignIn.standing.where(account: Acting.account).order(seen_at: :desc)

      # Whose password it is; wrong ones are counted, and after many of them the next waits.
      # @return [Account, nil]
      def known(login, password)
        wait = FailedSignIn.wait(login, asked_from)
        too_often(wait) if wait
        Account.with(login, password).tap do |found|
          found ? FailedSignIn.forgive(login) : FailedSignIn.note(login, asked_from)
        end
      end

      def too_often(wait)
        headers "retry-after" => wait.to_s
        refuse Problem.new(429, "Too many wrong passwords. Try again in #{(wait / 60.0).ceil} min.")
      end

      def wrong(field, sentence)
        raise Grittle::InvalidInput, [Grittle::Problem.new(pointer: "/#{field}", sentence: sentence)]
      end

      # In this browser, from now on.
      def sign_in(account)
        here&.end_now
        env["grittle.sign_in"], token = ::SignIn.begin(account, device: env["HTTP_USER_AGENT"])
        headers "set-cookie" => SignInCookie.new(env).write(token)
      end

      # Of the fieldbook that the address names, else the first of them.
      def answer_session_now(status = 200)
        answer(S.session(here&.account, alone: here.nil? && Reach.alone?, asked: env["grittle.fieldbook"]), status)
      end
    end
  end
end
