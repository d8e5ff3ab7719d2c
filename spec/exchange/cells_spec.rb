# frozen_string_literal: true

RSpec.describe Exchange::Cells do
  def column(kind) = Exchange::Column.new(name: "x", kind: kind)

  # What Ruby's own reader of CSV finds in the line. [published: RFC 4180]
  def written(value, kind)
    looks = described_class.looks([column(kind)] * 2)
    cells = CSV.parse_line(described_class.line([value, value], looks), row_sep: "\n")
    expect(cells.first).to eq cells.last
    cells.first
  end

  ["two, words", 'a "word"', "two\nlines", "two\r\nlines", " before", "after ", "", "Kröte", "a;b"].each do |text|
    it("keeps #{text.inspect} one cell") { expect(written(text, :text)).to eq text }
  end

  it "writes the names of the columns above" do
    expect(CSV.parse_line(described_class.header([column(:text), column(:json)]))).to eq %w[x x]
  end

  # A text that a spreadsheet would take for a formula is written behind an apostrophe, and comes back without it.
  # [common practice]
  {
    "=cmd|'/c calc'!A0" => "'=cmd|'/c calc'!A0",
    "+1" => "'+1",
    "-1 to 2" => "'-1 to 2",
    "@sum" => "'@sum",
    "'=already" => "''=already",
    "'tis wet" => "''tis wet",
    "plain" => "plain",
    "a=b" => "a=b",
    "\tindented" => "'\tindented"
  }.each do |text, cell|
    it "writes #{text.inspect} as #{cell.inspect}, and reads it back" do
      expect(written(text, :text)).to eq cell
      expect(described_class.read(cell, column(:text))).to eq text
    end
  end

  {
    [:number, -5.5] => "-5.5", [:integer, 7] => "7", [:flag, true] => "true", [:flag, false] => "false",
    [:json, { "a" => [1, nil] }] => '{"a":[1,null]}',
    [:json, "=word"] => '"=word"', [:json, false] => "false", [:json, 3] => "3", [:text, nil] => ""
  }.each do |(kind, value), cell|
    it "keeps the #{kind} #{value.inspect}" do
      kept = kind == :json ? JSON.generate(value) : value
      expect(written(kept, kind).to_s).to eq cell
      expect(described_class.read(cell, column(kind))).to eq value
    end
  end

  {
    [:integer, "1.5"] => /whole number/, [:integer, "-1"] => /whole number/, [:number, "deep"] => /must be a number/,
    [:flag, "perhaps"] => /true or false/,
    [:json, "{"] => /must be JSON/, [:json, "[" * 40] => /must be JSON/
  }.each do |(kind, cell), sentence|
    it "refuses #{cell[0, 20].inspect} as #{kind}" do
      expect { described_class.read(cell, column(kind)) }.to raise_error(Grittle::InvalidInput, sentence)
    end
  end
end
