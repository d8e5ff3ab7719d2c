# frozen_string_literal: true

# As much of RSpec's language as the core's specs speak, for running them in the script that the page runs; RSpec itself
# needs files and processes. What it does not know fails the example.
module SpecsInThePage
  EXAMPLES = [] # rubocop:disable Style/MutableConstant -- filled as the specs load

  # What an example can say.
  class Example
    class << self
      attr_accessor :described, :named

      def inherited(group)
        super
        group.described = described
        group.named = named
      end

      def describe(what, *, **, &)
        group = Class.new(self)
        group.described = what unless what.is_a?(String)
        group.named = [named, what].compact.join(" ")
        group.class_exec(&)
      end
      alias context describe

      def it(says = nil, *, **, &block) = EXAMPLES << [self, says || "example", block]
      alias specify it

      def let(name, &block)
        define_method(name) do
          @let ||= {}
          @let.key?(name) ? @let[name] : (@let[name] = instance_exec(&block))
        end
      end

      def subject(name = :subject, &) = let(name, &)
      def described_class = described
      def before(*, &block) = befores << block
      def befores = @befores ||= []
      def all_befores = (superclass.respond_to?(:all_befores) ? superclass.all_befores : []) + befores
    end

    def described_class = self.class.described
    def expect(value = nil, &block) = Expectation.new(block || value)

    # A thing that says yes or no of a value, by itself or within another.
    class Matcher
      def initialize(says, &block)
        @says = says
        @block = block
      end

      attr_reader :says

      def ===(value) = @block.call(value)
      alias matches? ===
      def >(other) = Matcher.new("> #{other}") { |value| value > other }
      def >=(other) = Matcher.new(">= #{other}") { |value| value >= other }
      def <(other) = Matcher.new("< #{other}") { |value| value < other }
      def <=(other) = Matcher.new("<= #{other}") { |value| value <= other }
      def of(other) = Matcher.new("#{says} of #{other}") { |value| (value - other).abs <= @within }
      def and(other) = Matcher.new("#{says} and #{other.says}") { |value| self === value && other === value }
      def or(other) = Matcher.new("#{says} or #{other.says}") { |value| self === value || other === value }

      def within(reach)
        @within = reach
        self
      end
    end

    # What is expected of a value or a block.
    class Expectation
      def initialize(value) = @value = value

      def to(matcher, *)
        return if matcher === @value

        raise "expected #{matcher.says}, got #{@value.inspect[0, 300]}"
      end

      def not_to(matcher, *)
        raise "expected not #{matcher.says}, got #{@value.inspect[0, 300]}" if matcher === @value
      end
      alias to_not not_to
    end

    def self.like?(wanted, value)
      case wanted
      when Matcher then wanted === value
      when Array
        value.is_a?(Array) && wanted.size == value.size && wanted.each_index.all? { |at| like?(wanted[at], value[at]) }
      when Hash then value.is_a?(Hash) && value.size == wanted.size && wanted.all? { |k, v| like?(v, value[k]) }
      when Regexp, Range, Module then wanted === value || wanted == value
      else wanted == value
      end
    end

    def like?(wanted, value) = Example.like?(wanted, value)
    def matcher(says, &) = Matcher.new(says, &)
    def eq(wanted) = matcher("eq #{wanted.inspect}") { |value| value == wanted }
    alias eql eq
    def match(wanted)
      matcher("match #{wanted.inspect}") do |value|
        wanted.is_a?(Regexp) ? value.to_s.match?(wanted) : like?(wanted, value)
      end
    end

    def be(*wanted)
      return matcher("truthy") { |value| value } if wanted.empty?

      matcher("be #{wanted.first.inspect}") { |value| value.equal?(wanted.first) || value == wanted.first }
    end

    def be_within(reach) = matcher("within #{reach}") { false }.within(reach)
    def be_between(low, high) = matcher("between #{low} and #{high}") { |value| value.between?(low, high) }
    def be_a(kind) = matcher("a #{kind}") { |value| value.is_a?(kind) }
    def be_truthy = be
    def all(wanted) = matcher("all #{wanted.inspect}") { |value| value.all? { |one| like?(wanted, one) } }

    def include(*wanted)
      matcher("include #{wanted.inspect}") do |value|
        wanted.all? do |one|
          if one.is_a?(Hash) && value.is_a?(Hash)
            one.all? { |name, part| value.key?(name) && like?(part, value[name]) }
          elsif value.is_a?(String) || value.is_a?(Range) then value.include?(one)
          elsif value.is_a?(Hash) then value.key?(one)
          else value.any? { |part| like?(one, part) }
          end
        end
      end
    end

    alias a_hash_including include
    alias a_string_including include
    def not_include(*wanted) = (found = include(*wanted)) && matcher("not #{found.says}") { |value| !(found === value) }

    def match_array(wanted)
      matcher("contain #{wanted.inspect}") do |value|
        left = value.dup
        wanted.all? { |one| (at = left.index { |part| like?(one, part) }) && [left.delete_at(at)] } && left.empty?
      end
    end

    def contain_exactly(*wanted) = match_array(wanted)

    def have_attributes(wanted)
      matcher("have #{wanted}") { |v| wanted.all? { |k, one| like?(one, v.public_send(k)) } }
    end

    def have_key(name) = matcher("have #{name}") { |value| value.key?(name) }
    def satisfy(says = "satisfy", &) = matcher(says, &)
    def start_with(*texts) = matcher("start with #{texts}") { |value| value.start_with?(*texts) }
    alias a_string_starting_with start_with
    def end_with(*texts) = matcher("end with #{texts}") { |value| value.end_with?(*texts) }

    def raise_error(kind = StandardError, text = nil)
      matcher("raise #{kind}") do |block|
        block.call
        false
      rescue kind => e
        text.nil? || (text.is_a?(Regexp) ? e.message.match?(text) : e.message == text)
      end
    end

    def refuse_with(error, *sentences)
      matcher("refuse with #{sentences}") do |block|
        block.call
        false
      rescue error => e
        said = e.problems.map(&:sentence)
        sentences.all? { |sentence| said.any? { |one| sentence === one } }
      end
    end

    def method_missing(name, *wanted)
      asked = name.to_s[/\Abe_(.+)/, 1] or raise(NoMethodError, "undefined #{name}")

      matcher(name.to_s) { |value| value.public_send("#{asked}?", *wanted) }
    end

    def respond_to_missing?(name, *) = name.to_s.start_with?("be_")
  end

  # @return [Hash{String=>Object}] how many ran, and what failed
  def self.run
    failed = EXAMPLES.filter_map do |group, says, block|
      example = group.new
      group.all_befores.each { |before| example.instance_exec(&before) }
      example.instance_exec(&block)
      nil
    rescue Exception => e # rubocop:disable Lint/RescueException -- whatever an example ends in is its failure
      "#{group.named} #{says}: #{e.message} #{(e.backtrace || []).first(6).join(' | ')}"
    end
    { "ran" => EXAMPLES.size, "failed" => failed }
  end
end

# What the core's specs begin with.
module RSpec
  def self.describe(what, *_, **_, &) = SpecsInThePage::Example.describe(what, &)

  # Their own helpers.
  module Matchers
    def self.define(*) = nil
    def self.define_negated_matcher(*) = nil
  end
end

# Asked through the worker, as everything is.
module Device
  def self.run_specs = SpecsInThePage.run
end
