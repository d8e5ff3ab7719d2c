# frozen_string_literal: true

# Accounts, fieldbooks and their people.
RSpec.describe "people" do
  let(:lead) { member("Lea", "lead") }
  let(:first) { { name: "Wren", login: "wren@example.org", password: "three wet boots" } }

  def session_now = api_get("/api/session")

  def invite(**more)
    sign_in(lead)
    api_post("/api/invitations", { role: "surveyor", **more })
  end

  def word_of(invitation) = invitation["path"].split("#").last

  describe "alone on one's own machine" do
    it "needs no account, and may everything" do
      expect(session_now).to include("alone" => true, "account" => nil, "first_account" => "open", "demo" => [])
      expect(session_now["fieldbook"]).to include("role" => "lead", "person" => nil)
      api_post("/api/sites", { name: "Slope" })
      expect(last_response.status).to eq 201
    end

    it "ends with the first account, which is lead of all that is there and takes over the name" do
      Observer.named("Wren")
      api_post("/api/accounts/first", first)
      expect(last_response.status).to eq 201
      cookie = last_response.headers["set-cookie"]
      expect(cookie.downcase).to include("httponly", "samesite=strict", "path=/", "max-age=")
      expect(session_now).to include("alone" => false, "fieldbook" => hash_including("role" => "lead"))
      expect([session_now["fieldbook"]["person"]["name"], Observer.count]).to eq ["Wren", 1]
      sign_out
      expect(api_get("/api/sites")).to be_refused(401, nil, /Sign in/)
      expect(api_post("/api/accounts/first", { **first, login: "other" })).to be_refused(422, nil, /account already/)
    end

    it "is not allowed over a network, where the first account takes the word in the server's own folder" do
      ENV["GRITTLE_NETWORK"] = "1"
      expect(session_now).to include("alone" => false, "fieldbook" => nil, "first_account" => "with the word")
      expect(api_get("/api/sites")).to be_refused(401, nil, /Sign in/)
      expect(api_post("/api/accounts/first", { **first, word: "guess" })).to be_refused(422, "/word", /not the word/)
      api_post("/api/accounts/first", { **first, word: Reach.first_word })
      expect(last_response.status).to eq 201
    ensure
      ENV.delete("GRITTLE_NETWORK")
    end

    it "invites nobody before there is an account" do
      expect(api_post("/api/invitations", { role: "reader" })).to be_refused(422, nil, /your own account first/)
    end
  end

  describe "signing in" do
    it "takes the name and the password, and ends everywhere else when the password is changed" do
      account = member("Lea", "lead")
      %w[lea nobody].each do |login|
        expect(api_post("/api/session", { login: login, password: "wrong" })).to be_refused(422, nil, /go together/)
      end
      signed_in = api_post("/api/session", { login: "LEA", password: People::PASSWORD })
      expect(signed_in["account"]).to include("name" => "Lea")
      SignIn.begin(account)
      expect(api_get("/api/account/sign-ins")["sign_ins"].size).to eq 2
      refused = api_put("/api/account/password", { old: "wrong", password: "four dry gloves" })
      expect(refused).to be_refused(422, "/old", /not your password/)
      api_put("/api/account/password", { old: People::PASSWORD, password: "four dry gloves" })
      expect(api_get("/api/account/sign-ins")["sign_ins"].map { |one| one["here"] }).to eq [true]
      api_delete("/api/session")
      expect(session_now["account"]).to be_nil
      expect(Account.with("lea", "four dry gloves")).to eq account
    end

    { "short" => /at least 10/, "1234567890" => /guessed first/, "x" * 80 => /at most 72/, "aaaaaaaaaaaa" => /guessed/ }
      .each do |password, sentence|
        it "refuses the password #{password[0, 12]}" do
          refused = api_post("/api/accounts/first", { **first, password: password })
          expect(refused).to be_refused(422, "/password", sentence)
          expect(Account.count).to eq 0
        end
      end

    it "waits after many wrong passwords, for that name, and says how long" do
      member("Lea", "lead")
      FailedSignIn::MOST.times { api_post("/api/session", { login: "lea", password: "wrong" }) }
      expect(api_post("/api/session", { login: "lea", password: People::PASSWORD })).to be_refused(429, nil, /15 min/)
      expect(last_response.headers["retry-after"].to_i).to be_between(1, FailedSignIn::WITHIN)
      FailedSignIn.update_all(at: (FailedSignIn::WITHIN + 1).seconds.ago)
      expect(api_post("/api/session", { login: "lea", password: People::PASSWORD })["account"]).not_to be_nil
    end

    it "ends by itself when it is long unused, and holds for no other server" do
      sign_in(lead)
      SignIn.update_all(seen_at: (SignIn::IDLE + 1).seconds.ago)
      expect(api_get("/api/sites")).to be_refused(401, nil, /Sign in/)
      sign_in(lead)
      set_cookie "grittle-80=#{SignIn.begin(lead).last}" # a token that nobody signed
      expect(api_get("/api/sites")).to be_refused(401, nil, /Sign in/)
    end

    it "takes nothing that was given by somebody else in this browser" do
      sign_in(lead)
      header "Grittle-Account", "0"
      expect(api_post("/api/sites", { name: "Slope" })).to be_refused(401, nil, /Lea is signed in/)
      header "Grittle-Account", lead.id.to_s
      api_post("/api/sites", { name: "Slope" })
      expect(last_response.status).to eq 201
    end

    it "keeps no password, no cookie and no address in the log or in kept answers" do
      lines = log_of do
        api_post("/api/accounts/first", first)
        api_post("/api/session", { login: first[:login], password: first[:password] })
        api_get("/api/sites?text=secretplace&near=47.1")
      end
      expect(lines.join).not_to match(/three wet|wren@|secretplace|47\.1|grittle-80/)
      expect(KeptResponse.count).to eq 0
    end
  end

  describe "an invitation" do
    it "makes a member once, of who has no account and of who has one" do
      word = word_of(invite(note: "for the second pit"))
      sign_out
      expect(api_post("/api/invitations/look", { token: word })).to include("fieldbook" => "Fieldbook", "by" => "Lea")
      refused = api_post("/api/invitations/accept", { token: word, **first, password: "short" })
      expect(refused).to be_refused(422, "/password", /at least/)
      api_post("/api/invitations/accept", { token: word, **first })
      expect(last_response.status).to eq 201
      expect(session_now["fieldbook"]).to include("role" => "surveyor", "person" => hash_including("name" => "Wren"))
      expect(api_post("/api/invitations/accept", { token: word })).to be_refused(404, nil, /not open any more/)
      other = Account.make(name: "Odd", login: "odd", password: People::PASSWORD)
      second = word_of(invite(role: "reader"))
      sign_in(other)
      expect(api_get("/api/sites")).to be_refused(403, nil, /member of no fieldbook/)
      api_post("/api/invitations/accept", { token: second })
      expect(session_now["fieldbook"]).to include("role" => "reader")
    end

    it "lets an account take over a name, and makes another person of one who is only called so" do
      visiting = Observer.named("Wren")
      word = word_of(invite(person_id: visiting.id))
      namesake = word_of(invite)
      sign_out
      api_post("/api/invitations/accept", { token: word, **first })
      expect(session_now["fieldbook"]["person"]).to eq("id" => visiting.id, "name" => "Wren")
      sign_out
      api_post("/api/invitations/accept", { token: namesake, **first, login: "wren2" })
      expect(session_now["fieldbook"]["person"]["name"]).to eq "Wren (2)"
    end

    it "is open no more once who gave it out is no member" do
      second = member("Second", "lead")
      sign_in(second)
      word = word_of(api_post("/api/invitations", { role: "reader" }))
      second.memberships.first.tap { lead }.leave
      sign_out
      expect(api_post("/api/invitations/look", { token: word })).to be_refused(404, nil, /not open/)
    end

    it "is open no more once it is withdrawn or old" do
      old = word_of(invite)
      Invitation.update_all(ends_at: 1.second.ago)
      withdrawn = invite
      expect(api_delete("/api/invitations/#{withdrawn['id']}")["invitations"]).to eq []
      sign_out
      [old, word_of(withdrawn)].each do |word|
        expect(api_post("/api/invitations/look", { token: word })).to be_refused(404, nil, /not open/)
      end
    end
  end

  describe "members" do
    it "shows addresses to a lead alone, and keeps one lead" do
      member("Rea", "reader")
      sign_in(lead)
      mine = api_get("/api/members")["members"].find { |one| one["you"] }
      expect(api_get("/api/members")["members"].map { |one| one["login"] }).to contain_exactly("lea", "rea")
      change = { version: mine["version"], role: "reader" }
      expect(api_patch("/api/members/#{mine['id']}", change)).to be_refused(422, "/role", /needs a lead/)
      expect(api_delete("/api/members/#{mine['id']}")).to be_refused(422, "/role", /needs a lead/)
      sign_in(Account.find_by(login: "rea"))
      expect(api_get("/api/members")["members"].map { |one| one["login"] }).to eq [nil, nil]
      own = api_get("/api/members")["members"].find { |one| one["you"] }
      api_delete("/api/members/#{own['id']}")
      expect(api_get("/api/sites")).to be_refused(403, nil, /member of no fieldbook/)
    end

    it "are two people by one name until they are one, and then all that either wrote is of one" do
      profile = profile_with(["A", 0, 20], textured_by: "Wren")
      reading = Reading.make(horizon: profile.horizons.first)
      account = member("Wren", "surveyor")
      sign_in(account)
      own = begin_reading(profile.horizons.first)
      expect(own["textured_by"]).to eq "Wren (2)"
      sign_in(lead)
      membership = account.memberships.first
      api_put("/api/members/#{membership.id}/person", { person_id: reading.textured_by_id })
      expect(api_get("/api/readings/#{own['id']}")["textured_by"]).to eq "Wren"
      expect(Observer.pluck(:name)).to contain_exactly("Lea", "Wren")
      sign_in(account)
      expect(give(api_get("/api/readings/#{reading.id}"), ball_holds: true)["version"]).to eq 1
    end

    it "are called otherwise everywhere at once" do
      profile = profile_with(["A", 0, 20], textured_by: "Wern")
      reading = Reading.make(horizon: profile.horizons.first)
      sign_in(lead)
      expect(api_get("/api/readings/#{reading.id}")["textured_by"]).to eq "Wern"
      api_patch("/api/people/#{reading.textured_by_id}", { name: "Wren" })
      expect(api_get("/api/readings/#{reading.id}")["textured_by"]).to eq "Wren"
      expect(api_get("/api/sites?text=wren")["sites"].size).to eq 1
      taken = api_patch("/api/people/#{reading.textured_by_id}", { name: "Lea" })
      expect(taken).to be_refused(422, "/name", /called so/)
    end
  end

  describe "two fieldbooks" do
    let(:other) { api_post("/api/fieldbooks", { name: "Second valley" }) }

    it "stand side by side below their addresses, each with its own people, sites and exports" do
      sign_in(lead)
      api_post("/api/sites", { name: "Here" })
      below = "/fieldbooks/#{other['id']}"
      there = api_post("#{below}/api/sites", { name: "There" })
      reading = api_post("#{below}/api/readings", { textured_by: "Wren" })
      expect(api_get("/api/sites")["sites"].map { |one| one["name"] }).to eq ["Here"]
      expect(api_get("#{below}/api/sites")["sites"].map { |one| one["name"] }).to eq ["There"]
      expect(api_get("/api/readings/#{reading['id']}")).to be_refused(404, nil, /no reading/)
      expect(api_patch("/api/sites/#{there['id']}", { version: 0, name: "x" })).to be_refused(404, nil, /no site/)
      books = ["", below].map { |place| api_get("#{place}/api/export?format=json&of=fieldbook") }
      expect(books.map { |book| book["sites"].map { |one| one["name"] } }).to eq [["Here"], ["There"]]
      expect(books.map { |book| book["readings"].size }).to eq [0, 1]
      expect(session_now["fieldbooks"].map { |one| one["name"] }).to eq ["Fieldbook", "Second valley"]
    end

    it "give out no answer that was kept for another, whoever knows its key" do
      sign_in(lead)
      key = "k" * 20
      api_post("/api/sites", { name: "Here" }, key: key)
      sign_in(member("Str", "lead", fieldbook: Fieldbook.make("Elsewhere", nil)))
      expect(api_post("/api/sites", { name: "Here" }, key: key)).to be_refused(422, nil, /used for another/)
    end
  end

  it "tells what became of a site: who, when, from what to what" do
    sign_in(lead)
    site = api_post("/api/sites", { name: "Slope" })
    sign_in(member("Sur", "surveyor"))
    api_patch("/api/sites/#{site['id']}", { version: 0, name: "Upper slope", described: { elevation_m: "210" } })
    api_post("/api/deletions", { of: "site", of_id: site["id"] })
    deletion = Deletion.last
    expect(api_delete("/api/deletions/#{deletion.id}")).to be_refused(403, nil, /takes a lead/)
    api_post("/api/deletions/#{deletion.id}/restore", {})
    found = api_get("/api/history?of=site&of_id=#{site['id']}")["entries"]
    expect(found.map { |one| one.values_at("says", "by") }).to eq [["Restored", nil], %w[Deleted Sur], %w[Changed Sur]]
    expect(found.last["changes"]).to contain_exactly(
      { "field" => "Name", "from" => "Slope", "to" => "Upper slope" },
      { "field" => "Elevation, m", "from" => nil, "to" => "210" }
    )
  end

  it "is asked by its own page alone" do
    [{ "HTTP_ORIGIN" => "https://elsewhere.example" }, { "HTTP_SEC_FETCH_SITE" => "cross-site" },
     { "HTTP_SEC_FETCH_SITE" => "same-site" }].each do |headers|
      post "/api/session", "{}", { "CONTENT_TYPE" => "application/json", "HTTP_HOST" => "127.0.0.1", **headers }
      expect(last_response.status).to eq 403
    end
  end

  ["/", "/api/session", "/api/nothing", "/assets/nothing.js"].each do |path|
    it "answers #{path} with what keeps other pages away" do
      get path, {}, "HTTP_HOST" => "127.0.0.1"
      headers = last_response.headers
      expect(headers["content-security-policy"]).to match(/\A(?!.*unsafe).*frame-ancestors 'none'/)
      expect(headers).to include("x-content-type-options" => "nosniff", "referrer-policy" => "no-referrer",
                                 "permissions-policy" => /geolocation=\(self\)/)
    end
  end
end
