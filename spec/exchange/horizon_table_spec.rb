# frozen_string_literal: true

# The same table in every way a spreadsheet writes it.
RSpec.describe Exchange::HorizonTable do
  plain = "Horizon,Top cm,Bottom cm,Texture\nAp,0,20,loam\nBt,20,60,clay loam\n"
  read = ->(bytes) { described_class.new(bytes.b, name: "table.csv") }
  cells = ->(table) { [table.headings, table.instance_variable_get(:@rows).map(&:last)] }

  {
    "with a mark of UTF-8" => "\uFEFF#{plain}",
    "in UTF-16, low byte first" => "\uFEFF#{plain}".encode("UTF-16LE"),
    "in UTF-16, high byte first" => "\uFEFF#{plain}".encode("UTF-16BE"),
    "with ends of lines from two systems" => plain.sub("\n", "\r\n"),
    "with carriage returns alone" => plain.tr("\n", "\r"),
    "with sep= above" => "sep=;\n#{plain.tr(',', ';')}",
    "with a title above" => "Survey of the slope,,,\n#{plain}",
    "with tabs" => plain.tr(",", "\t")
  }.each do |how, text|
    it("is read #{how}") do
      expect(cells[read[text]]).to eq [
        ["Horizon", "Top cm", "Bottom cm", "Texture"],
        [%w[Ap 0 20 loam], ["Bt", "20", "60", "clay loam"]]
      ]
    end
  end

  it "is refused where it is no text, empty, or too long, with a sentence" do
    { "\0\1\2" => "This is no text file.", "" => "The file is empty.", "Horizon,Top\n" => /no row below/,
      "Horizon,Top,Bottom\n#{"A,0,1\n" * 120_000}" => /more than 50000 rows/ }.each do |text, said|
      expect { read[text] }.to raise_error(Exchange::Unreadable, said)
    end
  end
end
