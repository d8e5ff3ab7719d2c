# frozen_string_literal: true

# What a laboratory found in a sample, as it was written; the newest stands, and the older ones stay. What is read into
# it follows from the core each time.
class LaboratoryResult < ApplicationRecord
  CORE = Grittle::Practice::LaboratoryResult
  # As the laboratory wrote it, and what else may stand beside it.
  WRITTEN = %w[sand silt clay uncertainty method silt_limit determinations].freeze
  BESIDE = { "laboratory" => 120, "number" => 60, "remark" => 2000 }.freeze
  DAY = Grittle::Entry::Field.new("reported_on", "Date", :date)

  belongs_to :sample
  belongs_to :submission, optional: true
  belongs_to :recorded_by, class_name: "Observer", optional: true
  attribute :written, ActiveRecord::Type::Json.new

  # @param input [Hash{String=>Object}] WRITTEN, BESIDE and "reported_on", as typed
  # @param source [String, nil] the file it came in
  # @param submission [Submission, nil] that it answers
  # @return [LaboratoryResult]
  # @raise [Grittle::InvalidInput]
  def self.make(sample, input, source: nil, submission: nil)
    create!(sample: sample, recorded_by: Acting.writer(sample.place&.recorded_by),
            added_at: Time.now.utc, source: source,
            submission: submission, **checked(input))
  end

  # @return [Hash{Symbol=>Object}] attributes ready to store
  # @raise [Grittle::InvalidInput]
  def self.checked(input)
    written = input.slice(*WRITTEN).compact.transform_values { |value| text(value, 60) }
    core(written)
    beside = BESIDE.to_h { |name, most| [name.to_sym, text(input[name], most).presence] }
    { written: written, **beside, reported_on: DAY.read(input["reported_on"].to_s) }
  end

  def self.text(value, most)
    return value if value.is_a?(Numeric)

    said = value.to_s.strip
    sentence = PlainText::SENTENCE if PlainText.flaw(said)
    sentence ||= "A text has at most #{most} characters." if said.length > most
    sentence ? raise(Grittle::InvalidInput, [Grittle::Problem.new(pointer: "", sentence: sentence)]) : said
  end
  private_class_method :text

  # @return [Grittle::Practice::LaboratoryResult]
  def self.core(written)
    CORE.new(written.except("determinations"), determinations: (written["determinations"] || 1).to_i)
  end

  # @return [Grittle::Practice::LaboratoryResult]
  def read = @read ||= LaboratoryResult.core(written)

  # @return [Hash{String=>Object}, nil] beside what the hand made of the sample: see
  #   Grittle::Practice::BesideLaboratory; nil where nothing was felt
  def beside(reading)
    estimate = reading.estimate
    return if estimate.empty? || !read.comparable?

    Grittle::Practice::BesideLaboratory.new(estimate, reading.class_given, read.percents, read.sds).to_h
  end
end
