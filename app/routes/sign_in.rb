# frozen_string_literal: true

module Routes
  # Who is here: signing in and out, the first account, passwords.
  module SignIn
    S = AccountSerializer
    WRONG = "That name and that password do not go together."

    def self.registered(app)
      app.get("/api/session") { answer_session_now }

      app.post "/api/session" do
        wait = FailedSignIn.wait(input[:login], asked_from)
        too_often(wait) if wait
        account = Account.with(input[:login], input[:password])
        unless account
          FailedSignIn.note(input[:login], asked_from)
          refuse Problem.new(422, WRONG)
        end
        FailedSignIn.forgive(input[:login])
        sign_in(account)
      end

      app.post("/api/session/demo") { sign_in(Account.open.where(demo: true).find(input[:account_id])) }

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
        unless known
          word = Grittle::Problem.new(pointer: "/word", sentence: "That is not the word in #{Reach::FIRST_WORD_IN}.")
          raise Grittle::InvalidInput, [word]
        end
        sign_in(Account.make_first(**input.slice(:name, :login, :password)), 201)
      end

      app.put "/api/account/password" do
        account = Acting.account || halt(404)
        right = account.weak? || Account.with(account.login, input[:old])
        raise Grittle::InvalidInput, [wrong_old] unless right

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

      def too_often(wait)
        headers "retry-after" => wait.to_s
        refuse Problem.new(429, "Too many wrong passwords. Try again in #{(wait / 60.0).ceil} min.")
      end

      def wrong_old = Grittle::Problem.new(pointer: "/old", sentence: "That is not your password.")

      def sign_in(account, status = 200)
        here&.end_now
        env["grittle.sign_in"], token = ::SignIn.begin(account, device: env["HTTP_USER_AGENT"])
        headers "set-cookie" => SignInCookie.new(env).write(token)
        answer_session_now(status)
      end

      # Of the fieldbook that the address names, else the first of them.
      def answer_session_now(status = 200)
        alone = here.nil? && !Reach.network? && Account.alone?
        answer(S.session(here&.account, alone: alone, asked: env["grittle.fieldbook"]), status)
      end
    end
  end
end
