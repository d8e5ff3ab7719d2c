# frozen_string_literal: true

require_relative "../support/page_core"
require_relative "../../core/spec/support/random_observations"

# What the page says at once of an answer, beside what the server says once it has it.
RSpec.describe PageCore, type: :api do
  seed = 20_261_127
  keys = Grittle::FieldMethod::PARTS[:key].choices.keys
  answers = Grittle::Tests::Vocabulary::ALL.keys - %w[ribbons moisture_rounds]

  around { |example| described_class.open { |core| (@core = core) && example.run } }

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
      reading = follow(begin_reading, "PATCH", "", { "key" => key })
      10.times { reading = follow(reading, *change[reading, random, draw]) }
      expect(reading["version"]).to be > 4
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
    found = @core.ask("preview", reading, writes, "full")
    expect(found).to be_alike(push(give(reading, ball_holds: true), 44, 41).then { |one| give(one, wet_rub: "neither") })
    [["PATCH", "", { "textured_by" => "Ines" }], ["POST", "/measured-ribbons", { "photo_id" => 1 }],
     ["PATCH", "", { "answers" => { "ball_holds" => "perhaps" } }]].each do |unknown|
      expect(@core.ask("preview", reading, [write(reading, *unknown)], "none")).to be_nil
    end
  end

  def write(reading, verb, path, body)
    { "method" => verb, "path" => "/api/readings/#{reading['id']}#{path}", "body" => body }
  end

  # Makes a change on both sides.
  # @return [Hash] the reading after it
  def follow(reading, verb, path, body)
    asked = write(reading, verb, path, body)
    own = @core.ask("preview", reading, [asked], "full")
    address = verb == "DELETE" ? "#{asked['path']}?version=#{reading['version']}" : asked["path"]
    said = public_send(:"api_#{verb.downcase}", address, { "version" => reading["version"], **body })
    if last_response.successful?
      expect(own).to be_alike(said)
      said
    else
      expect(own).to be_nil
      reading
    end
  end

  # The same texts, numbers to 1e-9; what the server alone adds is left out.
  RSpec::Matchers.define :be_alike do |server|
    match do |own|
      @differences = own ? differences(own, server.slice(*own.keys)) : ["nothing was said"]
      @differences.empty?
    end
    failure_message { @differences.first(5).join("\n") }

    def differences(own, server, where = "")
      case server
      when Hash
        (server.keys | own.to_h.keys).flat_map { |name| differences(own.to_h[name], server[name], "#{where}/#{name}") }
      when Array
        return ["#{where}: #{own.inspect}, not #{server.size} of them"] unless own.is_a?(Array) && own.size == server.size

        server.each_with_index.flat_map { |value, at| differences(own[at], value, "#{where}/#{at}") }
      when Numeric then own.is_a?(Numeric) && (own - server).abs <= 1e-9 ? [] : ["#{where}: #{own}, not #{server}"]
      else own == server ? [] : ["#{where}: #{own.inspect}, not #{server.inspect}"]
      end
    end
  end
end
