# frozen_string_literal: true

# A table of the assessor's own authority, as it came from a CSV file: its name, its authority and its date stand beside
# whatever is looked up in it.
class AssessorTable < ApplicationRecord
  include Deletable

  CORE = Grittle::Consequences::AssessorTable
  COLUMNS = CORE::COLUMNS
  LENGTHS = { name: 120, authority: 200 }.freeze
  DAY = Grittle::Entry::Field.new("dated_on", "Date", :date)

  belongs_to :fieldbook, default: -> { Fieldbook.current }
  attribute :rows, ActiveRecord::Type::Json.new

  # @param input [Hash{Symbol=>Object}] name, authority, dated_on, limiting, and rows by CORE::COLUMNS
  # @return [AssessorTable]
  # @raise [Grittle::InvalidInput] naming every bad row
  def self.make(fieldbook, input)
    said = LENGTHS.to_h { |name, most| [name, text(name, input[name], most)] }
    day = DAY.read(input[:dated_on]) || refuse(:dated_on, "Write the date that the table was issued.")
    limiting = input[:limiting] || "lowest"
    CORE.new(input[:rows], limiting: limiting)
    create!(fieldbook: fieldbook, **said, dated_on: day, limiting: limiting, rows: input[:rows])
  end

  def self.text(field, value, most)
    said = value.to_s.strip
    refuse(field, "Write the #{field} of the table.") if said.empty?
    said.length > most ? refuse(field, "The #{field} has at most #{most} characters.") : said
  end

  def self.refuse(field, sentence)
    raise Grittle::InvalidInput, [Grittle::Problem.new(pointer: "/#{field}", sentence: sentence)]
  end
  private_class_method :text, :refuse

  # @param base_cm, interest_cm [Numeric, nil]
  # @return [Hash{String=>Object}] as Grittle.interpret takes it
  def describe(base_cm: nil, interest_cm: nil)
    { "rows" => rows, "limiting" => limiting, "name" => name, "authority" => authority, "dated_on" => dated_on,
      "base_cm" => base_cm, "interest_cm" => interest_cm }
  end
end
