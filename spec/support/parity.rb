# frozen_string_literal: true

require_relative "../../core/lib/grittle"
require_relative "../../core/spec/support/random_observations"
require_relative "page_core"

# Random sets of observations, by random methods, through the core natively and in the page's build.
class Parity
  # How many of the observations are given, set by set: none, few, all; the more, the more contradict each other.
  SHARES = [0.0, 0.1, 0.3, 0.6, 1.0].freeze
  NEAR = 1e-9
  # Nobody's hand in particular: long ribbons, words and numbers shifted. [our own]
  HAND = { "curve" => { "a" => 0.12, "b" => -0.1, "k2" => 1.4, "vaa" => 0.01, "vab" => 0.0, "vbb" => 0.02 },
           "words" => { "stickiness" => { "shift" => 3.0, "scale" => 5.0 } },
           "numbers" => { "sand_estimate" => { "bias" => 6.0, "sd" => 7.0 } },
           "bias" => { "clay" => [2.0, 3.0] } }.freeze

  # @return [Array<String>] where the two differ, named by the set
  attr_reader :differences

  def initialize(count, seed:)
    @count = count
    @random = Random.new(seed)
    @draw = RandomObservations.new(seed)
    @differences = []
  end

  # @return [Parity]
  def run
    PageCore.open do |core|
      @count.times do |at|
        given = [observations(at), method, "full", (HAND if (at % 11).zero?)]
        compare(Parity.native(*given), core.ask("assess", *given), "set #{at}")
      end
    end
    self
  end

  # @return [Hash{String=>Object}] as device/lib/device.rb answers
  def self.native(observations, method, evidence, hand)
    own = hand && Grittle::Practice::OwnHand.new(hand)
    made = Grittle.assess(observations, method: Grittle::FieldMethod.new(**method.transform_keys(&:to_sym)), hand: own)
    JSON.parse(JSON.generate(made.to_h(evidence: evidence)))
  rescue Grittle::InvalidInput => e
    { "refused" => e.problems.map { |problem| problem.to_h.transform_keys(&:to_s) } }
  end

  # The same names in the same order, the same texts, numbers within NEAR.
  def compare(native, page, where)
    return differ(where, native, page) unless alike?(native, page)

    case native
    when Hash then native.each { |name, value| compare(value, page[name], "#{where}/#{name}") }
    when Array then native.each_with_index { |value, at| compare(value, page[at], "#{where}/#{at}") }
    end
  end

  private

  # @return [Boolean] but for what stands within
  def alike?(native, page)
    case native
    when Hash then page.is_a?(Hash) && native.keys == page.keys
    when Array then page.is_a?(Array) && native.size == page.size
    when Numeric then page.is_a?(Numeric) && (native - page).abs <= NEAR
    else native == page
    end
  end

  def differ(where, native, page)
    @differences << "#{where}: #{native.inspect[0, 160]}, in the page #{page.inspect[0, 160]}"
  end

  def method
    Grittle::FieldMethod::PARTS.to_h { |name, part| [name.to_s, part.choices.keys.sample(random: @random)] }
  end

  # Every seventh has something in it that is refused or extreme.
  def observations(at)
    drawn = @draw.draw(SHARES[at % SHARES.size])
    return drawn unless (at % 7).zero?

    drawn.merge(EXTREME[@random.rand(EXTREME.size)])
  end

  EXTREME = [
    { "ribbons" => [{ "length_mm" => 0 }] }, { "ribbons" => [{ "length_mm" => 400 }] },
    { "ribbons" => Array.new(10) { |at| { "length_mm" => 12.5 * at } } }, { "ribbons" => [] },
    { "sand_estimate" => { "percent" => 100, "half_width" => 50 } }, { "sand_estimate" => { "half_width" => 3 } },
    { "clay_estimate" => { "percent" => 0 } }, { "coarse_fragments_percent" => 100 }, { "wet_rub" => "gritty" },
    { "no_such_test" => true }, { "ball_holds" => "yes" }, { "working_minutes" => 121 }, { "moisture_rounds" => -1 },
    { "blind_spots" => %w[organic volcanic_ash] }, { "feel_words" => "silky" },
    { "ball_holds" => false, "ribbons" => [{ "length_mm" => 60 }], "plasticity" => "very" },
    { "ribbons" => [{ "length_mm" => 24.95 }, { "length_mm" => 25.05 }] }
  ].freeze
  private_constant :EXTREME
end
