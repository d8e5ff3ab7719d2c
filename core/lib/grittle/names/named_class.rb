# frozen_string_literal: true

module Grittle
  # The class that a soil was given: by which key, in whose names, and whatever else belongs to the name. It knows its
  # kind, its full name and code, its part of the triangle, its neighbours and how far it is from another, so that
  # nobody else has to. Frozen.
  #
  #   NamedClass.new(key: "rolling", code: "SL/rich").to_s                              # => "sandy loam, rich in clay"
  #   NamedClass.new(system: "usda", code: "SL", sand_grade: "fine", fragments: 20).to_s  # => "gravelly fine sandy
  #   loam"
  class NamedClass
    # What may be added to a name: see {FullName}; and the clay that the hand wrote beside it, in percent.
    QUALIFIERS = %i[sand_grade fragments fragment_size position clay].freeze
    AGREEMENTS = { agree: 0, one_off: 1, two_off: 2 }.freeze
    # From here on two readings are hardly of one soil.
    FAR = Data::NAMES["far"]
    WORDS = { 0 => "the same", 1 => "one class apart" }.freeze
    KINDS = { region: "a class of a triangle", grade: "a grade of behaviour", group: "a group of classes",
              no_texture: "soil that has no texture class" }.freeze

    @agreements = {}.compare_by_identity

    attr_reader :key, :system, :code, :sand_grade, :fragments, :fragment_size, :position, :clay

    # @param code [String]
    # @param key [String, nil] the key it was given by; nil where only the system is known
    # @param system [String, nil] whose names they are; nil takes the key's own
    # @param qualifiers [Hash] of QUALIFIERS
    # @raise [UnknownName, InvalidInput]
    def initialize(code:, key: nil, system: nil, **qualifiers)
      system ||= key ? Keys[key]::SYSTEM : raise(UnknownName.new("system", system, Names.systems))
      raise UnknownName.new("system", system, Names.systems) unless Names.systems.include?(system)

      @key = key
      @entry = Names.fetch(system, code.to_s)
      @system = @entry.system
      @code = @entry.code
      take(qualifiers)
      freeze
    end

    # @param hash [Hash] "system", "code" and perhaps "key" and QUALIFIERS, as {#to_h} gives them
    # @return [NamedClass]
    # @raise [UnknownName, InvalidInput]
    def self.from(hash)
      given = hash.transform_keys(&:to_sym)
      new(**given.slice(:key, :system, :code, *QUALIFIERS).compact)
    end

    # @return [NamedClass, nil] nil for a name that nobody gives
    def self.find(hash)
      from(hash)
    rescue InvalidInput
      nil
    end

    # @return [Symbol] one of KINDS
    def kind = @entry.kind

    # @return [Boolean] whether it says something of sand, silt and clay
    def texture? = kind != :no_texture

    # @return [String] the plain class, such as "sandy loam"
    def name = @entry.name

    # @return [String] with all that belongs to it, such as "gravelly fine sandy loam"
    def to_s = texture? ? [full.to_s, own_clay].compact.join(", ") : name
    alias full_name to_s

    # @return [String] such as "GR-FSL"
    def full_code = texture? ? full.code : code

    # @return [Boolean] whether the full name says more than the plain one
    def qualified? = full_name != name

    # @return [Array<Array>] polygons of vertices [sand, clay] in percent; none where there is no texture
    def polygons = texture? ? @entry.region.polygons : []

    # @return [Array<Integer>] whole-percent compositions within, see {Region#cells}
    def cells = texture? ? @entry.region.cells : []

    # @return [Composition, nil] what a drawing takes its grain from; no estimate of any sample
    def middle = texture? ? @entry.region.middle : nil

    # @return [Array<Numeric>, nil] percent clay, from and to, that the name stands for or has printed beside it
    def clay_range = @entry.clay

    # @return [Array<NamedClass>] names of its kind in the same system whose region shares an edge with its own
    def neighbours
      plain = triangle&.neighbours(code) if plain?
      codes = plain || Names.of(system).values.select { |other| beside?(other) }.map(&:code)
      codes.map { |other| NamedClass.new(key: key, system: system, code: other) }
    end

    # How many classes it is from another: within a triangle the boundaries that lie between; otherwise what their
    # regions say, where 2 stands for two and more.
    # @param other [NamedClass]
    # @return [Integer, nil] nil where one of them is no texture
    def apart(other)
      return unless texture? && other.texture?
      return 0 if [system, code] == [other.system, other.code]
      return steps(other) if plain? && other.plain? && system == other.system

      AGREEMENTS.fetch(agreement(other))
    end

    # @return [Symbol, nil] :agree, :one_off or :two_off; names are never compared as words
    def agreement(other)
      return unless texture? && other.texture?

      NamedClass.agreement_of(@entry, other.entry)
    end

    # @return [String] how far it is from another, for a person
    def self.say_apart(count) = WORDS.fetch(count) { "#{count} classes apart" }

    # Regions never change, so what was worked out once is kept.
    # @api private
    def self.agreement_of(one, other)
      (@agreements[one] ||= {}.compare_by_identity)[other] ||= one.region.agreement(other.region)
    end

    # @return [NamedClass] the same without anything added to the name
    def plain = NamedClass.new(key: key, system: system, code: code)

    # @return [NamedClass] the same with more added to the name
    def with(**qualifiers) = NamedClass.new(key: key, system: system, code: code, **added, **qualifiers)

    # @return [Hash{Symbol=>Object}] what is added to the name
    def added = QUALIFIERS.to_h { |name| [name, public_send(name)] }.compact

    # @return [Hash{String=>Object}] as kept: {from} makes the same of it
    def to_h = { "key" => key, "system" => system, "code" => code, **added.transform_keys(&:to_s) }.compact

    # @return [Hash{String=>Object}] as on the wire, with its names
    def describe
      to_h.merge("kind" => kind.to_s, "name" => name, "full_name" => full_name, "full_code" => full_code)
    end

    # Where its own clay lies in the class: the lower third is light, the upper heavy.
    # @param percent [Numeric] clay
    # @return [String, nil] "light", "heavy", or nil in the middle, outside, and where the name leaves no room for it
    def position_of(percent)
      return unless kind == :region && clay_range && percent.between?(*clay_range)

      low, high = clay_range
      part = (percent - low) / (high - low).to_f
      return "light" if part < Data::NAMES["third"]

      "heavy" if part > 1 - Data::NAMES["third"]
    end

    def ==(other) = other.is_a?(NamedClass) && to_h == other.to_h
    alias eql? ==
    def hash = to_h.hash

    protected

    attr_reader :entry

    # A whole class of a triangle, whose steps can be counted.
    def plain? = kind == :region && @entry.plain == code

    private

    def triangle = TRIANGLES[system]

    # Of its own family, or for half of a class the classes that it is no half of.
    def beside?(other)
      near = other.family == @entry.family || (kind == :region && other.kind == :region && other.plain != @entry.plain)
      texture? && near && other.code != code && @entry.region.touch?(other.region)
    end

    def full = FullName.new(@entry, **added.except(:clay))
    def own_clay = clay && "#{Units.number(clay)} % clay"

    def take(qualifiers)
      unknown = qualifiers.keys - QUALIFIERS
      raise ArgumentError, "a name has no #{unknown.first}" unless unknown.empty?

      QUALIFIERS.each { |name| instance_variable_set(:"@#{name}", qualifiers[name]) }
      check_percents
      full if texture? && !qualifiers.empty? # refuses what it does not know
    end

    def check_percents
      bad =
        { fragments: fragments, clay: clay }.reject do |_, value|
          value.nil? || (value.is_a?(Numeric) && value.between?(0, 100))
        end
      problems =
        bad.keys.map { |name| Problem.new(pointer: "/#{name}", sentence: "The #{name} of a name are 0 to 100 %.") }
      raise InvalidInput, problems unless problems.empty?
    end

    def steps(other)
      reached = [code]
      count = 0
      until reached.include?(other.code)
        reached |= reached.flat_map { |one| triangle.neighbours(one) }
        count += 1
      end
      count
    end
  end
end
