# frozen_string_literal: true

# What belongs to sessions, laboratories and double readings, beside the bin and the exports.
RSpec.describe "what stands apart from the fieldbook" do
  let(:profile) { profile_with(["A", 0, 20], textured_by: "Wren") }
  let(:picture) { File.binread(File.expand_path("../../docs/screenshots/triangle.png", __dir__)) }

  def book
    get "/api/export?of=fieldbook&format=json", {}, "HTTP_HOST" => "127.0.0.1"
    JSON.parse(last_response.body)
  end

  it "lets the bin be emptied of a reading that was read twice, and of a bag that was sent" do
    bag = Sample.make(profile, [{ kind: "bag", label: "B1", upper_cm: 10 }]).first
    Submission.make([bag], laboratory: "Invented", analysis: "pipette", way: "paper")
    reading = assign(give(begin_reading(profile.horizons.first), ball_holds: false), "S", reason: "as felt")
    double = DoubleReading.create!(first_id: reading["id"], kind: "other", drawn_at: Time.now.utc)
    double.begin("Reed")
    deletion = Deletion.make(Fieldbook.current, "profile", profile.id)
    expect { deletion.empty }.not_to raise_error
    expect([Reading.exists?(reading["id"]), DoubleReading.count, SubmissionBag.count]).to eq [false, 0, 0]
  end

  it "leaves a photograph of a session's reading out of exports, with all that was felt there" do
    turn = PracticeSession.make(kind: "simulated").join("Wren", "a" * 32).current
    reading = turn.begin
    reading.answer(0, answers: { "ball_holds" => true })
    Photo.make(reading, picture, name: "x.png")
    expect(book.values_at("photos", "readings", "samples", "answers").map { |rows| rows || [] }).to all eq []
  end

  it "carries a hand with the readings that were made with it, out and in" do
    person = Observer.named("Wren")
    numbers = { "curve" => Grittle::Practice::OwnCurve.new(a: 0.2).to_h }
    person.update!(own_hand: OwnHand.create!(observer: person, numbers: numbers, pairs: 7, made_at: Time.now.utc))
    reading = Reading.make(horizon: profile.horizons.first)
    expect(reading.own_hand.pairs).to eq 7
    written = book
    expect(written["own_hands"].first).to include("observer" => "Wren", "pairs" => 7, "numbers" => numbers)
    expect(written["readings"].first["own_hand_id"]).to eq written["own_hands"].first["id"]
    import = Exchange::FieldbookImport.new(written, {})
    expect(import.problems.to_a).to eq []
    expect { import.take_in }.to change(OwnHand, :count).by(1)
    expect(Reading.last.own_hand.numbers).to eq numbers
    written["own_hands"].first["numbers"]["words"] = { "no_test" => { "shift" => 1, "scale" => 1 } }
    expect(Exchange::FieldbookImport.new(written, {}).problems.to_a).not_to eq []
  end
end
