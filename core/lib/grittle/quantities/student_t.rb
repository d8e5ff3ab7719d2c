# frozen_string_literal: true

module Grittle
  # Student's t distribution for whole degrees of freedom.
  # Closed form [published: Abramowitz & Stegun 1964, 26.7.3 and 26.7.4].
  module StudentT
    # @param value [Float] in standard errors
    # @param freedom [Integer] degrees of freedom, 1 or more
    # @return [Float] probability of a smaller value
    def self.below(value, freedom)
      angle = Math.atan(value / Math.sqrt(freedom))
      (1 + between(angle, freedom)) / 2
    end

    # @return [Float] the value that 95 % lie under (so that 90 % lie between it and its negative)
    def self.upper95(freedom) = UPPER95.fetch(freedom) { solve(0.95, freedom) }

    # @return [Float] the density, scaled so that its peak is 1 (for drawing)
    def self.relative_density(value, freedom) = (1 + ((value**2) / freedom))**(-(freedom + 1) / 2.0)

    # A(t|v) of the handbook: the probability between -t and t, signed like t.
    def self.between(angle, freedom)
      sine = Math.sin(angle)
      square = Math.cos(angle)**2
      if freedom.even?
        sine * series(1.0, (1..).step(2), freedom.div(2), square)
      else
        tail = freedom == 1 ? 0.0 : sine * series(Math.cos(angle), (2..).step(2), (freedom - 1).div(2), square)
        2 / Math::PI * (angle + tail)
      end
    end

    # First term, then each times n/(n + 1) times cos², for +count+ terms in all.
    def self.series(first, numerators, count, square)
      term = first
      sum = first
      numerators.take(count - 1).each { |n| sum += (term *= square * n / (n + 1)) }
      sum
    end

    def self.solve(probability, freedom)
      low = 0.0
      high = 1000.0
      80.times do
        middle = (low + high) / 2
        below(middle, freedom) < probability ? low = middle : high = middle
      end
      low
    end
    private_class_method :between, :series, :solve

    # A ribbon set has at most ten ribbons and n + 1 degrees of freedom.
    UPPER95 = (1..11).to_h { |freedom| [freedom, solve(0.95, freedom)] }.freeze
    private_constant :UPPER95
  end
end
