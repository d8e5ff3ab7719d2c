# frozen_string_literal: true

require_relative "../spec_helper"
require "open3"

# Agreement beside R (Debian's r-base-core; Kappa of the package vcd), on random tables.
RSpec.describe Grittle::Practice::Agreement do
  # @return [Array<Float>] one a line that R prints
  def of_r(script)
    out, status = Open3.capture2e("Rscript", "--vanilla", "-", stdin_data: "options(digits=15)\n#{script}")
    raise out unless status.success?

    out.lines.grep(/\A *\[\d+\]/).flat_map { |line| line.split.drop(1).map(&:to_f) }
  end

  def vector(numbers) = "c(#{numbers.join(',')})"
  def matrix(rows) = "matrix(#{vector(rows.flatten)}, nrow=#{rows.size}, byrow=TRUE)"
  def close(numbers) = match(numbers.map { |number| be_within(1e-9).of(number) })

  let(:random) { Random.new(20_261_127) }
  let(:tables) do
    Array.new(12) { |at| Array.new(2 + (at % 4)) { Array.new(2 + (at % 4)) { random.rand(1..30) } } }
  end

  it "has the kappa of R, plain and weighted by steps and by their squares" do
    script = tables.map do |table|
      size = table.size
      steps = described_class.linear(size)
      squares = steps.map { |row| row.map { |step| step**2 } }
      weights = [steps, squares].map { |one| "1-#{matrix(one)}/#{one.flatten.max}" }
      "t <- #{matrix(table)}\nprint(unname(vcd::Kappa(t)$Unweighted[1]))\n" +
        weights.map { |one| "print(unname(vcd::Kappa(t, weights=#{one})$Weighted[1]))\n" }.join
    end
    ours = tables.flat_map do |table|
      steps = described_class.linear(table.size)
      [described_class.kappa(table), described_class.kappa(table, steps),
       described_class.kappa(table, steps.map { |row| row.map { |step| step**2 } })]
    end
    expect(of_r(script.join)).to close ours
  end

  it "has the interval of R's prop.test without correction, which is Wilson's" do
    pairs = Array.new(20) { random.rand(2..60).then { |count| [random.rand(0..count), count] } }
    script = pairs.map { |x, n| "print(as.numeric(suppressWarnings(prop.test(#{x}, #{n}, correct=FALSE))$conf.int))\n" }
    ours = pairs.flat_map { |x, n| described_class.wilson(x, n) }
    expect(of_r(script.join)).to match(ours.map { |one| be_within(2e-5).of(one) }) # 1.96 for 1.959964
  end

  it "has the bias, standard errors, limits and slope of R" do
    found = Array.new(8) do |at|
      one = Array.new(6 + at) { random.rand * 60 }
      [one, one.map { |clay| (clay * 0.9) + (random.rand * 12) }]
    end
    script = found.map do |one, other|
      "a <- #{vector(one)}; b <- #{vector(other)}; d <- a-b; t <- t.test(a, b, paired=TRUE); n <- length(d)\n" \
        "print(c(unname(t$estimate), t$stderr, sd(d), mean(d)-1.96*sd(d), mean(d)+1.96*sd(d), " \
        "unname(coef(lm(d ~ I((a+b)/2)))[2])))\n"
    end
    ours = found.flat_map do |one, other|
      pair = Grittle::Practice::BlandAltman.new(one, other)
      [pair.bias, pair.se_bias, pair.sd, *pair.limits, pair.slope]
    end
    expect(of_r(script.join)).to close ours
  end

  it "pays odds by half the Brier score of R's model matrix" do
    codes = Grittle::Practice::NextSample::CODES
    calls = Array.new(10) do
      codes.to_h { |code| [code, random.rand] }.then do |o|
        o.transform_values do |p|
          p / o.values.sum
        end
      end
    end
    truths = Array.new(10) { [random.rand(5..60), random.rand(5..30)] }
    ours = calls.zip(truths).filter_map do |odds, (sand, clay)|
      found = Grittle::Practice::Credits.new("odds", sand: sand, clay: clay)
      [found.of("odds" => odds), odds, found.classes.first] if found.classes.size == 1
    end
    script = ours.map do |_, odds, own|
      "f <- factor('#{own}', levels=#{vector(codes.map { |code| "'#{code}'" })})\n" \
        "print(1 - sum((#{vector(odds.values_at(*codes))} - as.numeric(table(f)))^2)/2)\n"
    end
    expect(of_r(script.join)).to close(ours.map(&:first))
  end

  it "has the p of R's exact binomial test for the pull of a guess" do
    pairs = Array.new(12) { [random.rand(0..9), random.rand(1..9)] }
    script = pairs.map { |better, worse| "print(binom.test(#{better}, #{better + worse})$p.value)\n" }
    expect(of_r(script.join)).to close(pairs.map { |one, other| Grittle::Practice::Pull.sign_test(one, other) })
  end
end
