# frozen_string_literal: true

module Grittle
  # The printed keys. Each answers .new(observations, **options).result and has ID, NAME, SYSTEM, SOURCE and ASKS.
  module Keys
    ALL = [RibbonAndRub, FieldGrades, SandFirst, Rolling, TwoNumbers, TextureGroups, LengthAlone].freeze

    # @return [Class]
    # @raise [UnknownName]
    def self.[](id) = ALL.find { |key| id == key::ID } || raise(UnknownName.new("key", id, ALL.map { |key| key::ID }))

    ALL.flat_map { |key| key::ASKS.map { |name| [key, name] } }.each do |key, name|
      raise "#{key::ID} asks for #{name}, which is no observation" unless Tests::Vocabulary::ALL.key?(name)
    end
    RibbonAndRub::CLASSES.each_value { |row| row.each_value { |code| Triangles::USDA[code] } }
    SandFirst::CLASSES.each_key { |code| Triangles::CANADA[code] }
    FieldGrades::CLASSES.each_key { |code| FieldGrades::GRADES.fetch(code) }
  end
end
