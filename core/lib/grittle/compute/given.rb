# frozen_string_literal: true

module Grittle
  module Compute
    # One document of a calculation, read with its defaults: what is no such number or word is told in a sentence.
    class Given
      # Of names that end so.
      RANGES = {
        "cm" => 0..10_000, "mm" => 0..100_000, "percent" => 0..100, "_min" => 0..100_000, "_h" => 0..100_000,
        "_c" => 0..60
      }.freeze
      ANY = 0..1e9

      # @param document [Object] parsed JSON
      # @param within [String] where it stands, for the sentence
      # @raise [InvalidInput] for anything but an object
      def initialize(document, within = "The document")
        refuse("#{within} must be an object.") unless document.is_a?(Hash)
        @all = document
        @within = within
      end

      # @param name [String]
      # @param default [Object] used where it is missing or null; none: it is needed
      # @param range [Range, nil]
      # @return [Numeric]
      def number(name, default = (needed = true), range: nil)
        value = @all[name]
        return needed ? refuse("#{said(name)} is needed.", name) : default if value.nil?

        range ||= RANGES.find { |ending, _| name.end_with?(ending) }&.last || ANY
        return value if value.is_a?(Numeric) && value.to_f.finite? && range.cover?(value)

        refuse("#{said(name)} is a number from #{range.begin} to #{Units.number(range.end)}, not " \
               "“#{Spoken.of(value)}”.", name)
      end

      # @return [Array<Numeric>]
      def numbers(name, least: 1)
        list(name, least: least) do |value|
          next value if value.is_a?(Numeric) && value.to_f.finite?

          refuse("#{said(name)} is a list of numbers; “#{Spoken.of(value)}” is none.")
        end
      end

      # @yieldparam value [Object]
      # @return [Array]
      def list(name, least: 1, &block)
        value = @all[name]
        refuse("#{said(name)} is a list of #{least} or more.") unless value.is_a?(Array) && value.size >= least

        block ? value.map(&block) : value
      end

      # @return [Array<Given>] objects of a list
      def objects(name, least: 1)
        list(name, least: least).each_with_index.map { |one, at| Given.new(one, "#{said(name)} #{at + 1}") }
      end

      # @param allowed [Array<String>]
      # @return [String]
      def word(name, allowed, default = (needed = true))
        value = @all[name]
        return needed ? refuse("#{said(name)} is needed.", name) : default if value.nil?

        allowed.include?(value) ? value : refuse("#{said(name)} is one of #{allowed.join(', ')}, not " \
                                                 "“#{Spoken.of(value)}”.")
      end

      # @return [Boolean, nil]
      def flag(name)
        value = @all[name]
        return value if [true, false, nil].include?(value)

        refuse("#{said(name)} is true or false, not “#{Spoken.of(value)}”.")
      end

      # @return [Boolean]
      def key?(name) = !@all[name].nil?

      # @return [Object] as it was given
      def [](name) = @all[name]

      # @return [Hash]
      def object(name)
        @all[name].is_a?(Hash) ? @all[name] : refuse("#{said(name)} is an object.")
      end

      # @param name [String, nil] what is wrong
      # @raise [InvalidInput]
      def refuse(sentence, name = nil)
        raise InvalidInput, [Problem.new(pointer: name ? "/#{name}" : "", sentence: sentence)]
      end

      private

      def said(name) = @within == "The document" ? name : "#{name} of #{@within}"
    end
  end
end
