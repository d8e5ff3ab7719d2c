# frozen_string_literal: true

require_relative "../spec_helper"
require_relative "../../../bin/support/numbers_page"

RSpec.describe Grittle::Keys::Page do
  grades = Grittle::Data::FIELD_GRADES
  parts = {
    title: "Page",
    source: "a handbook",
    mark: "from memory",
    printed: {
      "S" => {
        "bolus" => "sandy"
      }
    },
    read: {
      "S" => {
        "ribbons" => "0-2",
        "grittiness" => "extreme"
      }
    },
    near: {
      "S" => {
        "grittiness" => "very"
      }
    }
  }

  # The lengths printed beside the grades, from memory: Northcote 1979; Australian Soil and Land Survey Field Handbook,
  # 3rd ed.
  it "reads the lengths of field grades as they are printed" do
    about = Grittle::Data::FIELD_GRADE_FIGURES["about"]
    read = grades.read.transform_values { |row| row["ribbons"] }
    expect(read).to eq(grades.printed.transform_values { |row| about.fetch(row["ribbon"], row["ribbon"]) })
  end

  # Where a printed figure of clay is a range, it is what the grade is given.
  it "gives field grades the clay that is printed beside them" do
    grades.printed.each do |code, row|
      low, high = row["clay"].scan(/\d+/).map(&:to_i)
      expected = { "<" => 0..low, ">" => low..100 }.fetch(row["clay"][0]) { low..(high || low) }
      expect([code, Grittle::Keys::FieldGrades::GRADES[code].last]).to eq [code, expected]
    end
  end

  it "holds what fits apart from what is near" do
    cell = described_class.new(**parts).cells["S"]["grittiness"]
    expect(%w[extreme very none].map { |state| cell.score(state) }).to eq [1.0, 0.5, 0.0]
  end

  {
    "a class that is not read" => {
      read: {}
    },
    "an answer that is none" => {
      near: {
        "S" => {
          "grittiness" => "sandy"
        }
      }
    },
    "an answer that fits and is near" => {
      near: {
        "S" => {
          "grittiness" => "extreme"
        }
      }
    },
    "what is near where nothing is read" => {
      near: {
        "S" => {
          "shine" => "none"
        }
      }
    },
    "an unknown mark" => {
      mark: "heard"
    }
  }.each do |what, changed|
    it("is refused with #{what}") do
      expect { described_class.new(**parts, **changed) }.to raise_error ArgumentError, /Page/
    end
  end

  it "refuses a figure without a unit, a source or a known mark" do
    [
      [1, "", "our own", "why"],
      [1, "mm", "heard", "why"],
      [1, "mm", "our own"],
      [nil, "mm", "our own", "why"]
    ].each { |row| expect { Grittle::Figures.new("Few", "one" => row) }.to raise_error ArgumentError, /one of Few/ }
  end

  it "is shown with every other number in docs/numbers.md" do
    expect(File.read(NumbersPage::PATH)).to eq NumbersPage.text
  end
end
