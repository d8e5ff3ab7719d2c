# frozen_string_literal: true

# Draws observation sets, complete and with gaps, from a seed.
class RandomObservations
  LENGTHS = (0..130)

  def initialize(seed)
    @random = Random.new(seed)
  end

  # @param share [Float] how many of the observations are given
  # @return [Hash]
  def draw(share)
    Grittle::Tests::Vocabulary::ALL.keys.select { @random.rand < share }.to_h { |name| [name, value(name)] }
  end

  # @return [Object] one answer to an observation
  def value(name)
    kind = Grittle::Tests::Vocabulary::ALL.fetch(name)
    case kind[:kind]
    when :states then kind[:states].sample(random: @random)
    when :flag then [true, false].sample(random: @random)
    when :count then @random.rand(4)
    when :number then @random.rand(kind[:range].end)
    when :words then kind[:states].sample(@random.rand(3), random: @random)
    when :parts then kind[:required].to_h { |part| [part, @random.rand(101)] }
    when :ribbons then Array.new(1 + @random.rand(5)) { ribbon }
    end
  end

  private

  def ribbon
    { "length_mm" => @random.rand(LENGTHS), "ended" => @random.rand < 0.1 ? "torn" : "broke" }
  end
end
