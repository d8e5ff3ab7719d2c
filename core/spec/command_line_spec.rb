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
    out, _, status = grittle("classify", "--near", input: "id,Clay,SAND,note\n1,20,40,\"a, b\"\n2,50,60,\n3,20,65,\n4,x,1,\n")
    expect(out.lines(chomp: true)).to match [
      "id,Clay,SAND,note,texture_usda,texture_problem", "1,20,40,\"a, b\",L,", /\A2,50,60,,,"Sand, silt and clay add up to 110/,
      "3,20,65,,SCL/SL,", /\A4,x,1,,,"Clay must be a percentage/
    ]
    expect(status).to eq 1
  end

  it "reads a file" do
    Tempfile.create("soils") do |file|
      file.write("silt,sand\n40,40\n")
      file.flush
      expect(grittle("classify", file.path)).to eq ["silt,sand,texture_usda,texture_problem\n40,40,L,\n", "", 0]
    end
  end

  it "assesses one object, and JSON lines one by one" do
    observations = { "ball_holds" => true, "ribbons" => ribbons(46, 53, 61), "wet_rub" => "very_smooth" }
    out, = grittle("assess", input: JSON.pretty_generate(observations))
    expect(JSON.parse(out)).to eq JSON.parse(JSON.generate(Grittle.assess(observations).to_h))
    expect(JSON.parse(out)["evidence"].keys).to include("classes", "mean", "sd", "entropy_bits", "settled", "sentence", "region",
                                                        "next_tests")
    out, _, status = grittle("assess", "--limits", "contest", input: "#{JSON.generate(observations)}\n{}\n")
    expect([out.lines.size, status]).to eq [2, 0]
  end

  {
    ["assess", "{"] => /is not JSON/, ["assess", '{"wet_rub":"silky"}'] => /Use one of: very_gritty/,
    ["classify", "a,b\n"] => /needs at least two of the columns/, ["classify --system mars", "sand,clay\n"] => /no system “mars”/,
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
