# frozen_string_literal: true

require_relative "../support/parity"
$LOAD_PATH << File.expand_path("../../device/lib", __dir__)
require "device/warm_up"

# What the page says at once of an answer, beside what the server says once it has it.
RSpec.describe PageCore, type: :api do
  seed = 20_261_127
  keys = Grittle::FieldMethod::PARTS[:key].choices.keys
  answers = Grittle::Tests::Vocabulary::ALL.keys - %w[ribbons moisture_rounds]

  # Answers, moisture, ribbons pushed, corrected and taken back, another key: as a hand at a bench would, and worse.
  change = lambda do |reading, random, draw|
    ribbon = reading["ribbons"].sample(random: random)
    length = { "length" => random.rand(5..110), "unit" => %w[mm cm in].sample(random: random) }
    case random.rand(10)
    when 0, 1 then ["POST", "/ribbons", { **length, "unit" => "mm" }]
    when 2 then ribbon ? ["PATCH", "/ribbons/#{ribbon['id']}", length] : ["POST", "/ribbons", length]
    when 3 then ribbon ? ["DELETE", "/ribbons/#{ribbon['id']}", {}] : ["PATCH", "", { "answers" => {} }]
    when 4 then ["PATCH", "", { "moisture_answer" => Grittle::MoistureLoop::ANSWERS.sample(random: random) }]
    when 5 then ["PATCH", "", { "key" => keys.sample(random: random) }]
    else
      name = answers.sample(random: random)
      ["PATCH", "", { "answers" => { name => draw.value(name) } }]
    end
  end

  keys.each_with_index do |key, at|
    it "says of a reading by the key #{key} what the server says" do
      random = Random.new(seed + at)
      draw = RandomObservations.new(seed + at)
      described_class.open do |core|
        reading = follow(core, begin_reading, "PATCH", "", { "key" => key })
        10.times { reading = follow(core, reading, *change[reading, random, draw]) }
        expect(reading["version"]).to be > 4
      end
    end
  end

  it "lays several answers over what the server said last, and leaves to the server what only it knows" do
    reading = begin_reading
    writes = [
      write(reading, "PATCH", "", { "answers" => { "ball_holds" => true } }),
      *[44, 41].map { |mm| write(reading, "POST", "/ribbons", { "length" => mm, "unit" => "mm" }) },
      write(reading, "PUT", "/place", { "step" => "rub" }),
      write(reading, "PATCH", "", { "answers" => { "wet_rub" => "neither" } })
    ]
    unknown = [["PATCH", "", { "textured_by" => "Ines" }], ["POST", "/measured-ribbons", { "photo_id" => 1 }],
               ["PATCH", "", { "answers" => { "ball_holds" => "perhaps" } }]]
    described_class.open do |core|
      expect(unknown.map { |one| core.ask("preview", reading, [write(reading, *one)], "none") }).to all be_nil
      found = core.ask("preview", reading, writes, "full")
      said = push(give(reading, ball_holds: true), 44, 41).then { |one| give(one, wet_rub: "neither") }
      expect(differences(said, found)).to eq []
    end
  end

  it "warms up by questions that have an answer, step by step to the last" do
    expect(Device::WarmUp::QUESTIONS.map { |question| Device.preview(*question) }).to all include("assessment")
    described_class.open do |core|
      steps = (0..).lazy.map { |nth| core.ask("warm", nth) }.take_while(&:itself)
      expect(steps.count).to eq(Grittle::Names.systems.size + Device::WarmUp::QUESTIONS.size - 1)
    end
  end

  def write(reading, verb, path, body)
    { "method" => verb, "path" => "/api/readings/#{reading['id']}#{path}", "body" => body }
  end

  # Makes a change on both sides.
  # @return [Hash] the reading after it
  def follow(core, reading, verb, path, body)
    asked = write(reading, verb, path, body)
    found = core.ask("preview", reading, [asked], "full")
    address = verb == "DELETE" ? "#{asked['path']}?version=#{reading['version']}" : asked["path"]
    said = public_send(:"api_#{verb.downcase}", address, { "version" => reading["version"], **body })
    unless last_response.successful?
      expect(found).to be_nil
      return reading
    end
    expect(differences(said, found)).to eq []
    said
  end

  # What the server alone adds to a reading is left out.
  def differences(said, found)
    return ["nothing was said beforehand"] unless found

    Parity.new(0, seed: 0).tap { |parity| parity.compare(said.slice(*found.keys), found, "") }.differences
  end
end
