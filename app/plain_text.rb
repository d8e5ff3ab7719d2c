# frozen_string_literal: true

# Text that can be kept and shown everywhere: valid UTF-8 without signs that no file format or printed sheet can hold.
module PlainText
  # Control characters but for tab and the ends of lines, and the code points that XML has no place for.
  # [published: XML 1.0, 5th ed., production 2, without the C1 controls]
  BARRED = /[\u0000-\u0008\u000B\u000C\u000E-\u001F\u007F-\u009F\uFFFE\uFFFF]/
  SENTENCE = "The text holds a character that cannot be kept, such as a control character. Type it again."

  module_function

  # @param text [String]
  # @return [Boolean]
  def fine?(text)
    text = text.dup.force_encoding(Encoding::UTF_8) unless text.encoding == Encoding::UTF_8
    text.valid_encoding? && !text.match?(BARRED)
  end

  # @param text [String]
  # @return [String] without what cannot be shown, for what was kept before it was refused
  def clean(text) = text.scrub("").gsub(BARRED, "")

  # Looks through a value as JSON gives it.
  # @param value [Object]
  # @return [String, nil] a JSON pointer to the first thing that cannot be kept: a text, or a number that is none
  def flaw(value, pointer = "")
    case value
    when String then fine?(value) ? nil : pointer
    when Float then value.finite? ? nil : pointer
    when Hash then flaw_of_hash(value, pointer)
    when Array then value.each_with_index { |one, at| (found = flaw(one, "#{pointer}/#{at}")) && (return found) } && nil
    end
  end

  def flaw_of_hash(hash, pointer)
    hash.each do |name, one|
      return pointer unless fine?(name.to_s)

      found = flaw(one, "#{pointer}/#{name}")
      return found if found
    end
    nil
  end
  private_class_method :flaw_of_hash
end
