# frozen_string_literal: true

require_relative "spec_helper"
require "json"
require "open3"
require "tempfile"

RSpec.describe "bin/grittle" do
  # Without RubyGems and without a locale: the command needs Ruby alone.
  def grittle(*arguments, input: "")
    bare = { "RUBYOPT" => nil, "RUBYLIB" => nil, "LANG" => nil, "LC_ALL" => nil }
    out, err, status = Open3.capture3(bare, "ruby", "--disable-gems",
                                      File.expand_path("../../bin/grittle", __dir__), *arguments, stdin_data: input)
    [out, err, status.exitstatus]
  end

  it "classifies a CSV, keeps other columns and says what is wrong with a row" do
    out, _, status =
      grittle("classify", "--near", input: "id,Clay,SAND,note\n1,20,40,\"a, b\"\n2,50,60,\n3,20,65,\n4,x,1,\n")
    expect(out.lines(chomp: true)).to match [
      "id,Clay,SAND,note,texture_usda,texture_problem",
      "1,20,40,\"a, b\",L,",
      /\A2,50,60,,,"Sand, silt and clay add up to 110/,
      "3,20,65,,SCL/SL,",
      /\A4,x,1,,,"Clay must be a percentage/
    ]
    expect(status).to eq 1
  end

  describe "interpret" do
    def interpret(horizons) = grittle("interpret", input: JSON.generate("horizons" => horizons))

    it "says what a horizon means from what was felt alone" do
      felt = { "ball_holds" => true, "wet_rub" => "neither", "ribbons" => [{ "length_mm" => 30 }] }
      out, err, status = interpret([{ "upper_cm" => 0, "lower_cm" => 20, "readings" => [{ "observations" => felt }] }])
      expect(JSON.parse(out)["horizons"][0]["held"]["p50"]).to be_between(15, 40) # mm in 20 cm
      expect([err, status]).to eq ["", 0]
    end

    {
      { "observations" => {} } => "There is no “observations” in /horizons/0. Use: designation, ",
      { "readings" => [{ "felt" => {} }] } => "There is no “felt” in /horizons/0/readings/0. Use: id, ",
      { "readings" => 3 } => "/horizons/0/readings/0 is no object of names and values.",
      { "seen" => 3 } => "/horizons/0/seen is no object of names and values."
    }.each do |wrong, sentence|
      it "refuses #{wrong}" do
        expect(interpret([{ "upper_cm" => 0, "lower_cm" => 20, **wrong }]))
          .to match ["", start_with("grittle: #{sentence}"), 2]
      end
    end
  end

  it "reads a file" do
    Tempfile.create("soils") do |file|
      file.write("silt,sand\n40,40\n")
      file.flush
      expect(grittle("classify", file.path)).to eq ["silt,sand,texture_usda,texture_problem\n40,40,L,\n", "", 0]
    end
  end

  # What comes out of spreadsheets and loggers, as bytes.
  {
    "a row with too many fields" => [
      "sand,clay\n1,2,3\n40,20\n",
      /\A1,2,3,,"The row has 3 fields, the header has 2\."\n40,20,L,\n\z/,
      1
    ],
    "a row with too few" => ["id,sand,clay\n40,20\n", /\A40,20,,,"The row has 2 fields, the header has 3\."\n\z/, 1],
    "a stray quote" => [
      "n,sand,clay\n\"a,40,20\nb,40,20\n\"c\",40,20\n5\" pipe,40,20\nd,65,10\n",
      Regexp.new('\A"a,40,20,,"The row has a quote[^\n]+\nb,40,20,L,\n' \
                 '"c",40,20,L,\n5" pipe,40,20,,"The row[^\n]+\nd,65,10,SL,\n\z'),
      1
    ],
    "cells over two lines" => ["n,sand,clay\n\"a\nb\"\"\",40,20\n", "\"a\nb\"\"\",40,20,L,\n", 0],
    "bytes that are no UTF-8" => ["sand,clay,n\n40,20,b\xF6den\n", "40,20,b\xF6den,L,\n", 0],
    "carriage returns alone" => ["sand,clay\r40,20\r65,10\r", "40,20,L,\n65,10,SL,\n", 0],
    "both line ends" => ["sand,clay\r\n40,20\r\n", "40,20,L,\n", 0],
    "a programmer's numbers" => ["sand,clay\n0x10,20\n1_0,20\n40.,20\n1e999,0\n",
                                 /\A0x10,20,,"Sand.*\n1_0,20,,"Sand.*\n40\.,20,L,\n1e999,0,,"Sand/, 1],
    "semicolons and decimal commas" => ["Sand %;Clay (%)\n40,5;20\n", "40,5;20;L;\n", 0],
    "other spellings" => ["total_sand,silt_pct,Clay\n40,40,20\n", "40,40,20,L,\n", 0]
  }.each do |what, (input, expected, status)|
    it "classifies a CSV with #{what}" do
      out, _, ended = grittle("classify", input: input.b)
      expect(out.b.split("\n", 2).last).to(expected.is_a?(Regexp) ? match(expected) : eq(expected.b))
      expect(ended).to eq status
    end
  end

  it "classifies side by side as it does one by one, quotes and long files too" do
    random = Random.new(4)
    rows = Array.new(40_000) do |id|
      low, high = [random.rand(1001), random.rand(1001)].sort.map { |part| part / 10.0 }
      "#{id == 20_000 ? "\"a\n,b\"" : id},#{low},#{(high - low).round(1)},#{(100 - high).round(1)}"
    end
    input = "id,sand,silt,clay\n#{rows.join("\n")}\n"
    alone, = grittle("classify", "--system", "usda,canada,uk", input: input)
    expect(grittle("classify", "--system", "usda,canada,uk", "--jobs", "2", input: input)).to eq [alone, "", 0]
    expect(alone.lines.drop(1).first(300).map { |row| row.split(",")[4] }).to eq(rows.first(300).map do |row|
      Grittle.classify(**%i[sand silt clay].zip(row.split(",").drop(1).map(&:to_f)).to_h).code
    end)
  end

  it "assesses one object, and JSON lines one by one" do
    observations = { "ball_holds" => true, "ribbons" => ribbons(46, 53, 61), "wet_rub" => "very_smooth" }
    out, = grittle("assess", input: JSON.pretty_generate(observations))
    expect(JSON.parse(out)).to eq JSON.parse(JSON.generate(Grittle.assess(observations).to_h))
    expect(JSON.parse(out)["evidence"].keys).to include(
      "classes",
      "mean",
      "sd",
      "entropy_bits",
      "settled",
      "sentence",
      "region",
      "next_tests"
    )
    out, _, status = grittle("assess", "--limits", "contest", input: "#{JSON.generate(observations)}\n{}\n")
    expect([out.lines.size, status]).to eq [2, 0]
  end

  {
    ["assess", "{"] => /is not JSON/, ["assess", '{"wet_rub":"silky"}'] => /Use one of: very_gritty/,
    ["classify", "a,b\n"] => /needs at least two of the columns/,
    ["classify", "sandiness,clay\n"] => /Rename “sandiness” to sand/, ["classify", "s\0a\0n\0d\0"] => /UTF-16/,
    ["classify --system mars", "sand,clay\n"] => /no system “mars”/,
    ["classify /nowhere.csv", ""] => /No such file/, ["classify --fast", ""] => /invalid option/
  }.each do |(call, input), sentence|
    it "answers #{call} #{input.inspect} with one sentence and status 2" do
      out, err, status = grittle(*call.split, input: input)
      expect([out, err.lines.size, status]).to eq ["", 1, 2]
      expect(err).to match sentence
    end
  end

  it("lists the keys with their sources") { expect(grittle("keys").first).to match(/^ribbon_and_rub\tusda\t.*Thien/) }
end
