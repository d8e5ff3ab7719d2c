# frozen_string_literal: true

# Reference sets and blind sessions, and that nothing of a truth is told before its time.
RSpec.describe "practice over the API" do
  let(:keeper) { "a" * 32 }
  let(:tubs) do
    # Labels and numbers that occur nowhere else, so that any trace of them is found.
    [[7.31, 61.27], [18.43, 22.59], [31.17, 33.71], [12.89, 64.13], [52.61, 11.47], [42.83, 18.97], [23.57, 39.29],
     [36.41, 8.53]]
      .each_with_index.map { |(clay, sand), at| { label: "Hidden#{at}", clay: clay, sand: sand, method: "pipette" } }
  end

  def as(key) = header("Grittle-Key", key)

  def make_set(**more) = api_post("/api/reference-sets", { key: keeper, name: "Autumn tubs", tubs: tubs, **more })

  def session_of(set, **more)
    as(keeper)
    api_post("/api/practice-sessions", { set_id: set["id"], kind: "alone", **more })
  end

  def sit(session, name, key)
    as(key)
    api_post("/api/practice-sessions/#{session['id']}/people", { name: name, key: key })
  end

  # Reads and closes one tub with ribbons of +length+.
  def read(turn, length: 40, code: "CL", **more)
    reading = api_get("/api/readings/#{api_post("/api/turns/#{turn['id']}/begin", {})['reading_id']}")
    felt = push(give(reading, ball_holds: true, wet_rub: "neither"), length, length, length)
    assign(felt, code, reason: "as felt")
    api_post("/api/turns/#{turn['id']}/close", more)
  end

  def now(session) = api_get("/api/practice-sessions/#{session['id']}")["me"]["turns"].find { |one| one["now"] }

  it "goes through a set blind, with tubs that come again, and scores them once their truth is open" do
    set = make_set
    session = session_of(set)
    me = sit(session, "Wren", "b" * 32)["me"]
    expect(me["turns"].size).to eq 10 # two of eight come again
    expect(me["turns"].map { |turn| turn["code"] }.uniq.size).to eq 10
    expect(me["turns"].count { |turn| turn["guess"] }).to eq 5
    10.times { read(now(session)) }
    done = api_get("/api/practice-sessions/#{session['id']}")
    expect(done["ended_at"]).not_to be_nil
    results = done["me"]["turns"].map { |turn| turn["result"] }
    expect(results.count { |one| one["again"] }).to eq 2
    expect(done["me"]["scores"]).to include("count" => 10)
    right = results.find { |one| one["label"] == "Hidden2" } # 31.17 clay, 33.71 sand is a clay loam
    expect(right).to include("class" => "CL", "credit" => 1.0, "steps" => 0, "miss" => nil)
    missed = results.find { |one| one["label"] == "Hidden4" } # 52.61 clay
    expect(missed["miss"]).to include("called" => "CL", "truth" => "C")
    expect(missed["miss"]["sentence"]).to match(/\w/)
    expect(api_get("/api/hands/#{done['me']['person_id']}/skills")).to include("samples" => 10)
  end

  it "opens a tub once it is closed, but not before its duplicate" do
    session = session_of(make_set)
    turns = sit(session, "Wren", "b" * 32)["me"]["turns"]
    turns.each do |turn|
      told = read(turn)
      same = Turn.find(turn["id"]).then { |one| Turn.where(practice_person: one.practice_person, tub: one.tub) }
      expect(told["open"]).to eq(same.all?(&:closed_at))
    end
  end

  it "keeps a change after the truth as one, and lets it count nowhere" do
    session = session_of(make_set, again: false, by_need: true)
    turn = sit(session, "Wren", "b" * 32)["me"]["turns"].first
    told = read(turn)
    reading = api_get("/api/readings/#{told['reading_id']}")
    push(reading, 90)
    assign(api_get("/api/readings/#{reading['id']}"), told["result"]["class"], reason: "now I know")
    entries = api_get("/api/readings/#{reading['id']}/history")["entries"]
    expect(entries.select { |one| one["after_truth"] }.map { |one| one["what"] }).to contain_exactly("ribbon", "class")
    again = api_get("/api/practice-sessions/#{session['id']}")["me"]["turns"].first
    expect(again).to include("called" => "CL", "result" => include("credit" => told["result"]["credit"]))
  end

  it "counts nothing where the person made the set, or saw the truth in the last thirty days" do
    set = make_set(owner: "Wren")
    own = session_of(set, again: false)
    sit(own, "Wren", "b" * 32)
    8.times { read(now(own)) }
    expect(api_get("/api/practice-sessions/#{own['id']}")["me"]["scores"]["count"]).to eq 0
    two = [0, 1].map do |at|
      session = session_of(set, again: false)
      sit(session, "Reed", "#{at}c" * 16)
      8.times { read(now(session)) }
      api_get("/api/practice-sessions/#{session['id']}")["me"]["scores"]["count"]
    end
    expect(two).to eq [8, 0]
  end

  it "lets a group join with a code and opens the truth for all at once" do
    session = session_of(make_set, kind: "group", scheme: "class_half", again: false)
    as(keeper)
    code = api_get("/api/practice-sessions/#{session['id']}")["join_code"]
    expect(api_get("/api/practice-codes/#{code.downcase}")["id"]).to eq session["id"]
    people = %w[Wren Reed Sedge].each_with_index.to_h { |name, at| [name, (at + 1).to_s * 32] }
    people.each do |name, key|
      sit(session, name, key)
      4.times { read(now(session), length: name == "Sedge" ? 60 : 40, code: name == "Sedge" ? "C" : "CL") }
      expect(api_get("/api/practice-sessions/#{session['id']}")["me"]["turns"].filter_map do |one|
        one["result"]
      end).to eq []
      expect(api_get("/api/practice-sessions/#{session['id']}/comparison")["status"]).to eq 403
    end
    as(keeper)
    live = api_get("/api/practice-sessions/#{session['id']}")
    expect(live["table"].map { |row| [row["name"], row["closed"]] }).to eq [["Wren", 4], ["Reed", 4], ["Sedge", 4]]
    api_post("/api/practice-sessions/#{session['id']}/close", {})
    expect(api_get("/api/practice-sessions/#{session['id']}/comparison")["pairs"].size).to be >= 1
    as(people["Wren"])
    seen = api_get("/api/practice-sessions/#{session['id']}")
    expect(seen["me"]["scores"]["count"]).to eq 4
    expect(seen["others"].to_s).not_to match(/Reed|Sedge/)
    expect(seen["ranking"]).to be_nil
    expect(api_get("/api/practice-sessions/#{session['id']}/comparison").to_s).not_to match(/Reed|Sedge/)
    expect(api_post("/api/turns/#{seen['me']['turns'].last['id']}/begin", {})["detail"]).to include("ended")
  end

  it "keeps the tubs and codes of a session, whatever becomes of the set meanwhile" do
    set = make_set
    session = session_of(set, kind: "group")
    sit(session, "Wren", "b" * 32)
    as(keeper)
    kept = api_get("/api/reference-sets/#{set['id']}")
    changed = kept["truth"].drop(1).map { |tub| tub.slice("id", "label", "sand") } # one is gone, all have another clay
    api_put("/api/reference-sets/#{set['id']}", { version: kept["version"],
                                                  tubs: changed.map { |tub| tub.merge("clay" => 12) } })
    sit(session, "Reed", "c" * 32)
    wren, reed = PracticeSession.find(session["id"]).people.map do |one|
      one.turns.to_h do |turn|
        [turn.code, turn.tub_id]
      end
    end
    expect(reed).to eq wren
    as(keeper)
    codes = api_get("/api/practice-sessions/#{session['id']}")["codes"].to_h { |one| [one["code"], one["label"]] }
    expect(codes).to eq(wren.transform_values { |id| Tub.find(id).label })
  end

  it "answers a simulated sample's tests as asked for, and tells its truth once it is called" do
    as("d" * 32)
    session = api_post("/api/practice-sessions", { kind: "simulated" })
    turn = sit(session, "Wren", "d" * 32)["me"]["turns"].first
    id = api_post("/api/turns/#{turn['id']}/begin", {})["reading_id"]
    reading = api_get("/api/readings/#{id}")
    felt = api_post("/api/turns/#{turn['id']}/feel", { version: reading["version"], test: "ball_holds" })
    expect(felt["observations"].keys).to include("ball_holds")
    expect(api_post("/api/turns/#{turn['id']}/close", {})).to be_refused(422, "", "Call a class first.")
    told = api_post("/api/turns/#{turn['id']}/close", { class: "SL" })
    expect(told["result"]).to include("class", "credit", "clay")
    expect(api_post("/api/practice-sessions/#{session['id']}/next", {})["me"]["turns"].size).to eq 2
    expect(api_get("/api/readings")["total"]).to eq 0 # never in the fieldbook
    expect(Observer.find_by(name: "Wren").taught.count).to eq 0 # nor in the calibration
  end

  it "times the reading of a key beside one's own median" do
    drill = api_post("/api/key-drills", { name: "Wren" })
    expect(drill).to include("result" => nil, "choices" => array_including(hash_including("code" => "CL")))
    right = KeyDrill.find(drill["id"]).right
    done = api_patch("/api/key-drills/#{drill['id']}", { called: right })["result"]
    expect(done).to include("right" => right, "called" => right, "median" => done["milliseconds"])
  end

  it "takes tubs in from CSV, all or nothing, and gives them out to who has the key" do
    bad = api_post("/api/reference-tubs", { csv: "tub;sand %;clay %\nT1;60;10\n;50;20\nT3;60;x\n" })
    expect(bad["errors"].map { |one| one["pointer"] }).to eq %w[/row/3 /row/4]
    read = api_post("/api/reference-tubs", { csv: "tub;sand %;clay %;n\nT1;60,5;10;2\n" })["tubs"]
    expect(read).to eq [{ "label" => "T1", "sand" => "60,5", "clay" => "10", "determinations" => "2" }]
    set = api_post("/api/reference-sets", { key: keeper, name: "From a table", tubs: read })
    as(keeper)
    get "/api/reference-sets/#{set['id']}/tubs.csv", {}, "HTTP_HOST" => "127.0.0.1"
    expect(last_response.body.lines.last).to start_with("T1,\"60,5\",\"\",10")
    kept = api_get("/api/reference-sets/#{set['id']}")["truth"]
    expect(kept.first).to include("percents" => { "sand" => 60.5, "silt" => 29.5, "clay" => 10.0 })
  end

  it "takes a teacher's class and clay where no laboratory has the sand, and says how sure that is" do
    set = make_set(truth_by: "teacher", tubs: [{ label: "T", class: "CL", clay: 30 }])
    as(keeper)
    expect(api_get("/api/reference-sets/#{set['id']}")["truth"].first)
      .to include("class" => "CL", "named" => "clay loam", "sds" => include("clay" => 4.0))
    bad = make_set(name: "Bad", truth_by: "teacher", tubs: [{ label: "T", class: "CL", clay: 70 }])
    expect(bad).to be_refused(422, "/tubs/0", "Tub T: Clay loam has no soil with 70 % clay.")
  end

  describe "before its time" do
    # Every path that reads, with numbers that are there and numbers that are guessed.
    def paths
      JSON.parse(JSON.generate(YAML.safe_load_file(Api::SCHEMA)))["paths"].filter_map do |path, verbs|
        path if verbs.key?("get")
      end
    end

    def filled(path)
      ids = [1, 2, *[ReferenceSet, PracticeSession, Turn, Reading, Sample, Observer].flat_map do |one|
        one.order(:id).ids
      end]
      return [path] unless path.include?("{")

      ids.uniq.map do |id|
        path.gsub("{id}", id.to_s).gsub("{code}", PracticeSession.last.join_code.to_s).gsub(/\{\w+\}/, "1")
      end
    end

    # A label, a number as it was written (the seconds of a time are none), or the two percentages of one tub near each
    # other.
    let(:secrets) do
      told = ->(number) { "(?<![\\d.:])#{Regexp.escape(number.to_s)}(?!\\d)" }
      numbers = tubs.map { |tub| tub.values_at(:clay, :sand) }
      pairs = numbers.flat_map do |both|
        rounded = both.map { |one| told[one.round(1)] }
        [rounded, rounded.reverse].map { |one, other| "#{one}.{0,150}#{other}" }
      end
      Regexp.new(["Hidden\\d", *numbers.flatten.map(&told), *pairs].join("|"))
    end

    { "a stranger" => nil, "somebody with a guessed key" => "f" * 32, "a learner" => "b" * 32,
      "a teacher of another set" => "e" * 32 }.each do |who, key|
      it "tells no truth by any route to #{who}" do
        session = session_of(make_set, kind: "group")
        api_post("/api/reference-sets", { key: "e" * 32, name: "Another", tubs: [{ label: "x", sand: 40, clay: 5 }] })
        sit(session, "Wren", "b" * 32)
        2.times { read(now(session)) }
        key ? as(key) : header("Grittle-Key", nil)
        tried = paths.flat_map { |path| filled(path) }
        tried += ["/api/sites?text=Hidden", "/api/readings?text=Hidden", "/api/export?of=fieldbook&format=json",
                  "/api/export?of=fieldbook&format=package", "/api/export?of=fieldbook&format=csv"]
        told = tried.uniq.select do |path|
          get path, {}, "HTTP_HOST" => "127.0.0.1"
          last_response.body.match?(secrets)
        end
        expect(told).to eq []
        expect(tried.size).to be > 100
      end
    end

    it "lets nobody but the keeper change, begin, end or read a set" do
      set = make_set
      session = session_of(set, kind: "group")
      header("Grittle-Key", "f" * 32)
      refused = [
        api_put("/api/reference-sets/#{set['id']}", { version: 0, name: "Mine" }),
        api_delete("/api/reference-sets/#{set['id']}"),
        api_post("/api/practice-sessions", { set_id: set["id"], kind: "alone" }),
        api_post("/api/practice-sessions/#{session['id']}/close", {})
      ]
      turn = sit(session, "Wren", "b" * 32)["me"]["turns"].first
      header("Grittle-Key", "f" * 32)
      refused += %w[begin close].map { |what| api_post("/api/turns/#{turn['id']}/#{what}", {}) }
      expect(refused.map { |one| one["status"] }).to all eq 403
      as(keeper)
      expect(api_get("/api/reference-sets/#{set['id']}")["truth"].to_s).to match(secrets) # the walk can find them
    end
  end
end
