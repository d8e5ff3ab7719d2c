# frozen_string_literal: true

# One soil of a reference set: its label and its truth, as they were written.
class Tub < ApplicationRecord
  WRITTEN = %w[sand silt clay uncertainty method silt_limit class].freeze
  # What else may be known of it.
  ABOUT = { "determinations" => 20, "organic_matter" => 20, "origin" => 200, "mixed_on" => 10 }.freeze
  MOST_DETERMINATIONS = 100

  belongs_to :reference_set
  has_many :turns, dependent: :restrict_with_exception
  attribute :written, ActiveRecord::Type::Json.new
  attribute :about, ActiveRecord::Type::Json.new

  # @param given [Hash{String=>Object}] "label", WRITTEN and ABOUT, as typed
  # @param place [Integer] in the list
  # @return [Hash{Symbol=>Object}] columns
  # @raise [Grittle::InvalidInput]
  def self.checked(given, place)
    texts = given.slice("label", *WRITTEN, *ABOUT.keys).transform_values { |value| text(value) }.compact_blank
    label = texts.delete("label") or refuse("Give the tub a label.")
    read_with(texts)
    { label: label, written: texts.slice(*WRITTEN), about: texts.slice(*ABOUT.keys) }
  rescue Grittle::InvalidInput => e
    raise Grittle::InvalidInput, (e.problems.map do |one|
      Grittle::Problem.new(pointer: "/tubs/#{place}#{one.pointer}",
                           sentence: "Tub #{texts&.fetch('label', nil) || label || (place + 1)}: #{one.sentence}")
    end)
  end

  def self.text(value)
    said = value.is_a?(Numeric) ? Grittle::Units.plain(value) : value.to_s.strip
    sentence = PlainText::SENTENCE if PlainText.flaw(said)
    sentence ||= "A text has at most 200 characters." if said.length > 200
    sentence ? refuse(sentence) : said
  end

  def self.refuse(sentence) = raise(Grittle::InvalidInput, [Grittle::Problem.new(pointer: "", sentence: sentence)])

  # @return [Grittle::Practice::LaboratoryResult]
  def self.read_with(texts, truth_by = nil)
    count = texts["determinations"] ? Grittle::Entry::Field.number(texts["determinations"]) : 1
    unless count && count == count.to_i && count.between?(1, MOST_DETERMINATIONS)
      refuse("Determinations are a whole number from 1 to #{MOST_DETERMINATIONS}.")
    end
    sd = Grittle::Practice::FIGURES["teacher_sd"] if truth_by == "teacher" || said_by_class?(texts)
    Grittle::Practice::LaboratoryResult.new(parts(texts), determinations: count.to_i, sd: sd)
  end

  # A teacher may know a class and its clay alone.
  def self.said_by_class?(texts) = texts["class"].present? && texts.values_at("sand", "silt").all?(&:blank?)

  def self.parts(texts)
    written = texts.slice(*WRITTEN).except("class")
    return written unless said_by_class?(texts)

    clay = Grittle::Entry::Field.number(texts["clay"].to_s) || refuse("Clay is a number, not “#{texts['clay']}”.")
    sand = Grittle::Practice::TeacherWord.composition(texts["class"], clay).sand
    written.merge("sand" => Grittle::Units.plain(sand.round(1)))
  end
  private_class_method :text, :refuse, :parts, :said_by_class?

  # @return [Grittle::Practice::LaboratoryResult]
  def read = @read ||= Tub.read_with(written.merge(about || {}), reference_set.truth_by)

  # By the limit of the USDA's silt.
  # @return [Grittle::Composition]
  def truth = read.composition

  # @return [Hash{String=>Object}] for who may see it
  def describe
    { "id" => id, "label" => label, **written, **(about || {}), "percents" => read.percents, "sds" => read.sds,
      "done" => read.done, "named" => read.class_name }
  end
end
