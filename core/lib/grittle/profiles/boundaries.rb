# frozen_string_literal: true

module Grittle
  module Profiles
    # How distinct the boundary to the next horizon is: over how many cm one turns into the other. The words follow the
    # profile's method.
    module Boundaries
      # word => [name, cm from, cm to (not included; nil is open)]
      # [published: Soil Survey Manual, USDA Handbook 18, 2017]
      MANUAL = {
        "very_abrupt" => ["Very abrupt", 0, 0.5], "abrupt" => ["Abrupt", 0.5, 2], "clear" => ["Clear", 2, 5],
        "gradual" => ["Gradual", 5, 15], "diffuse" => ["Diffuse", 15, nil]
      }.freeze
      # [from memory: Australian Soil and Land Survey Field Handbook, 3rd ed., 2009]
      AUSTRALIA = {
        "sharp" => ["Sharp", 0, 0.5],
        "abrupt" => ["Abrupt", 0.5, 2],
        "clear" => ["Clear", 2, 5],
        "gradual" => ["Gradual", 5, 10],
        "diffuse" => ["Diffuse", 10, nil]
      }.freeze
      # Whose words other systems than these use is the manual's.
      OF = { Keys::FieldGrades::SYSTEM => AUSTRALIA }.freeze
      ALL = MANUAL.merge(AUSTRALIA) { |_, manual, _| manual }.freeze

      module_function

      # @param system [String] the system of the profile's names
      # @return [Hash]
      def words(system) = OF.fetch(system, MANUAL)

      # @param centimetres [Numeric] over which one horizon turns into the next
      # @return [String]
      def of(centimetres, system: "usda")
        words(system).find { |_, (_, from, to)| centimetres >= from && (to.nil? || centimetres < to) }.first
      end

      # @return [Array] cm from and to; to is nil where the word is open
      # @raise [UnknownName]
      def range_cm(word, system: "usda")
        found = words(system)[word] || ALL[word] || raise(UnknownName.new("boundary", word, words(system).keys))
        found.drop(1)
      end
    end
  end
end
