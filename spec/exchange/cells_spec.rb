# frozen_string_literal: true

RSpec.describe Exchange::Cells do
  def column(kind) = Exchange::Column.new(name: "x", kind: kind)

  # A text that a spreadsheet would take for a formula is written behind an apostrophe, and comes back without it. [common practice]
  {
    "=cmd|'/c calc'!A0" => "'=cmd|'/c calc'!A0", "+1" => "'+1", "-1 to 2" => "'-1 to 2", "@sum" => "'@sum", "'=already" => "''=already",
    "'tis wet" => "''tis wet", "plain" => "plain", "a=b" => "a=b", "\tindented" => "'\tindented"
  }.each do |text, cell|
    it "writes #{text.inspect} as #{cell.inspect}, and reads it back" do
      expect(described_class.write(text, column(:text))).to eq cell
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
      expect(described_class.write(kept, column(kind)).to_s).to eq cell
      expect(described_class.read(cell, column(kind))).to eq value
    end
  end

  {
    [:integer, "1.5"] => /whole number/, [:integer, "-1"] => /whole number/, [:number, "deep"] => /must be a number/,
    [:flag, "perhaps"] => /true or false/,
    [:json, "{"] => /must be JSON/, [:json, "[" * 40] => /must be JSON/
  }.each do |(kind, cell), sentence|
    it("refuses #{cell[0, 20].inspect} as #{kind}") {
      expect do
        described_class.read(cell,
                             column(kind))
      end.to raise_error(Grittle::InvalidInput, sentence)
    }
  end
end
