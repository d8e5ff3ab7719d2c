# frozen_string_literal: true

module Grittle
  # By which key a class is reached, and everything that a key leaves open: its limits, what counts as a ribbon, the
  # triangle, the list of grades, the curve from a ribbon to clay, and the unit of lengths. One value with its defaults,
  # the choices each key offers, and its name. Frozen.
  #
  #   FieldMethod.new(key: "two_numbers", system: "uk").naming_system  # => "uk"
  class FieldMethod
    # One part: what a form calls it, its choices as value => name, and the keys that look at it (nil: all).
    Part = Struct.new(:name, :label, :default, :choices, :keys, keyword_init: true) do
      # @return [Boolean] whether a key looks at it
      def of?(key) = keys.nil? || keys.include?(key)

      # @return [Hash] ready for a form
      def to_h
        { name: name.to_s, label: label, default: default, keys: keys,
          choices: choices.map { |value, word| { value: value, name: word } } }
      end
    end

    LISTS = { false => "Light clays, sandy and silty", true => "Sandy clay and silty clay" }.freeze

    PARTS = [
      Part.new(
        name: :key,
        label: "Key",
        default: Keys::RibbonAndRub::ID,
        choices: Keys::ALL.to_h { |key| [key::ID, key::NAME] }
      ),
      Part.new(
        name: :limit_set,
        label: "Limits of the key",
        default: Keys::LimitSets::DEFAULT,
        keys: [Keys::RibbonAndRub::ID],
        choices: Keys::LimitSets::ALL.transform_values { |set| set[:name] }
      ),
      Part.new(
        name: :ribbon_counts_from,
        label: "What counts as a ribbon",
        default: Keys::LimitSets::DEFAULT_COUNTS_FROM,
        keys: [Keys::RibbonAndRub::ID],
        choices: Keys::LimitSets::COUNTS_FROM.transform_values { |rule| rule[:name] }
      ),
      Part.new(name: :system, label: "Triangle", default: Triangles::USDA.id, keys: [Keys::TwoNumbers::ID],
               choices: TRIANGLES.transform_values(&:name)),
      Part.new(
        name: :older_grades,
        label: "Gritty and silky ribbons of 50 to 75 mm",
        default: false,
        keys: [Keys::FieldGrades::ID],
        choices: LISTS
      ),
      Part.new(
        name: :curve,
        label: "Clay from a ribbon's length, for the estimate and two numbers",
        default: Curves::DEFAULT,
        choices: Curves::ALL.to_h { |curve| [curve.id, curve.name] }
      ),
      Part.new(name: :unit, label: "Unit", default: "mm", choices: Units::LENGTHS.to_h { |unit, _| [unit, unit] })
    ].to_h { |part| [part.name, part.freeze] }.freeze
    NAMES = PARTS.keys.freeze
    DEFAULTS = PARTS.transform_values(&:default).freeze

    attr_reader(*NAMES)

    # @param parts [Hash{Symbol=>Object}] of PARTS; those not given are the defaults
    # @raise [UnknownName] for a part or a choice that there is not
    def initialize(**parts)
      extra = parts.keys - NAMES
      raise UnknownName.new("part of a method", extra.first, NAMES) unless extra.empty?

      DEFAULTS.merge(parts.compact).each do |name, value|
        choices = PARTS[name].choices
        raise UnknownName.new(name, value, choices.keys) unless choices.key?(value)

        instance_variable_set(:"@#{name}", value)
      end
      freeze
    end

    # @return [FieldMethod] the same but for some parts
    # @raise [UnknownName]
    def with(**parts) = FieldMethod.new(**to_h, **parts)

    # @return [Hash{Symbol=>Object}] by part
    def to_h = NAMES.to_h { |name| [name, public_send(name)] }

    # @return [Class] the key
    def key_class = Keys[key]

    # @return [Keys::RibbonAndRub, …] the key, walking a set of observations
    def walk(observations, by: key_class, **others) = by.new(observations, **options, **others)

    # @return [String] the system in whose names the key answers
    def naming_system = PARTS[:system].of?(key) ? system : key_class::SYSTEM

    # @return [String] the triangle of the second opinion: the key's own, and the USDA's where the key names grades
    def evidence_system = TRIANGLES.key?(naming_system) ? naming_system : Triangles::USDA.id

    # @return [Array<String>] codes of what may be assigned by the key
    def codes = key_class.codes(naming_system)

    # What may be assigned under this method: the key's names, and words for soil that has no texture.
    # @return [NamedClass]
    # @raise [UnknownName, InvalidInput]
    def named(code, **qualifiers)
      return NamedClass.new(code: code, system: Names::ORGANIC_SYSTEM) if Names::ORGANIC.key?(code)
      raise UnknownName.new("class", code, codes) unless codes.include?(code)

      NamedClass.new(key: key, system: naming_system, code: code, **qualifiers)
    end

    # @return [String] for people: the key, with what it was told
    def name
      detail = { limit_set: Keys::LimitSets[limit_set][:name].downcase, system: PARTS[:system].choices[system] }
      [key_class::NAME, *detail.filter_map { |part, said| said if PARTS[part].of?(key) }].join(", ")
    end

    # @return [Array<Hash>] its parts, ready for a form: name, label, default, keys that look at it, choices
    def self.form = PARTS.values.map(&:to_h)

    def ==(other) = other.is_a?(FieldMethod) && to_h == other.to_h
    alias eql? ==
    def hash = to_h.hash

    private

    def options
      {
        limit_set: limit_set,
        ribbon_counts_from: ribbon_counts_from,
        older_list: older_grades,
        curve: curve,
        system: system,
        unit: unit
      }
    end
  end
end
