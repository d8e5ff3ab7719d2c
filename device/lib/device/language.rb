# frozen_string_literal: true

# backtick_javascript: true

# What the server's files say beyond Ruby's own words.
class Object
  def blank? = respond_to?(:empty?) ? empty? : !self
  def present? = !blank?
  def presence = blank? ? nil : self
  def in?(all) = all.include?(self)
end

class String
  def blank? = strip.empty?
  def squish = strip.gsub(/\s+/, " ")
  def unicode_normalize(*) = `self.normalize("NFKC")`
end

class NilClass
  def blank? = true
end

class Hash
  def symbolize_keys = self
  def deep_stringify_keys = self
  def compact_blank = reject { |_, value| value.blank? }
end

module Enumerable
  def without(*gone) = to_a.reject { |one| gone.include?(one) }
end

class Module
  def delegate(*names, to:)
    names.each { |name| define_method(name) { |*given, &block| public_send(to).public_send(name, *given, &block) } }
  end
end

# One request at a time: nothing waits for another.
class Mutex
  def synchronize = yield
end

class Thread
  def self.current = @current ||= {}
end
