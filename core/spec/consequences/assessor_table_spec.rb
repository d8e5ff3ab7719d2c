# frozen_string_literal: true

require_relative "../spec_helper"

# Values here are invented: Grittle has none of its own.
RSpec.describe Grittle::Consequences::AssessorTable do
  def table(*rows, **how)
    described_class.new(rows.map { |row| %w[match structure_grade value].zip(row).to_h }, **how)
  end

  def layer(odds, structure: nil, grade: nil, from: 20, to: 60)
    { designation: "Bt", upper_cm: from, lower_cm: to, odds: odds, grade: grade,
      seen: { "structure_grade" => structure }.compact }
  end

  def values(table, *layers, **depths) = table.look_up(layers, **depths).map { |row| row.values_at("value", "says") }

  it "takes the row that says most of class and structure" do
    found = table(["4", nil, "20"], %w[4 moderate 15], ["clay loam", "moderate", "12"], %w[4 massive 0])
    expect(values(found, layer({ ["CL", 4] => 1.0 }, structure: "moderate"))).to eq [[12.0, nil]]
    expect(values(found, layer({ ["SCL", 4] => 1.0 }, structure: "moderate"))).to eq [[15.0, nil]]
    expect(values(found, layer({ ["SCL", 4] => 1.0 }, structure: "strong"))).to eq [[20.0, nil]]
  end

  it "shows every class with a tenth of the odds, the most limiting first" do
    found = table(["4", nil, "20"], ["5", nil, "unsuitable"], ["3", nil, "30"])
    odds = { ["CL", 4] => 0.6, ["C", 5] => 0.1, ["L", 3] => 0.21, ["SL", 2] => 0.09 }
    expect(values(found, layer(odds)).map(&:first)).to eq ["unsuitable", 20.0, 30.0]
    expect(values(table(["4", nil, "20"], ["3", nil, "30"], limiting: "highest"),
                  layer(odds.slice(["CL", 4], ["L", 3])))
      .map(&:first)).to eq [30.0, 20.0]
  end

  it "reads an Australian grade by its own code" do
    found = table(["LMC", nil, "8"], ["6", nil, "5"])
    expect(values(found, layer({ ["C", 5] => 1.0 }, grade: "LMC"))).to eq [[8.0, nil]]
  end

  it "says what is missing, and adds no value" do
    found = table(%w[4 moderate 15])
    expect(values(found, layer({ ["CL", 4] => 1.0 }))).to eq [[nil, "Its structure was not described."]]
    expect(values(found, layer({ ["CL", 4] => 1.0 }, structure: "weak")))
      .to eq [[nil, "The table has no row for its structure."]]
    expect(values(found, layer({ ["L", 3] => 1.0 }))).to eq [[nil, "The table has no row for it."]]
    expect(values(found, layer({}))).to eq [[nil, "It has no texture yet."]]
  end

  it "looks only from the intended base to the depth of interest" do
    found = table(["4", nil, "20"])
    kind = { ["CL", 4] => 1.0 }
    layers = [layer(kind, from: 0, to: 20), layer(kind), layer(kind, from: 60, to: 90)]
    expect(found.look_up(layers, base_cm: 20, interest_cm: 60).map { |row| row["upper_cm"] }).to eq [20]
  end

  # [from memory: AS/NZS 1547:2012; clays divided at 45 % after Northcote 1979]
  { ["S", 3] => 1, ["SL", 12] => 2, ["L", 20] => 3, ["SICL", 34] => 4, ["C", 44] => 5, ["C", 45] => 6 }
    .each do |(code, clay), category|
      it("puts #{code} with #{clay} % clay into category #{category}") do
        expect(described_class.category(code, clay)).to eq category
      end
    end

  { ["x", nil, "1"] => "“x” is no soil category, class or field texture grade.",
    %w[4 fluffy 1] => "Structure has no “fluffy”", ["4", nil, "much"] => "A value is a number or “unsuitable”" }
    .each do |row, sentence|
      it("refuses #{row.compact.join(', ')}") do
        expect { table(row) }.to raise_error(Grittle::InvalidInput, /#{Regexp.escape(sentence)}/)
      end
    end
end
