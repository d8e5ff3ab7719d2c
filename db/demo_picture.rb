# frozen_string_literal: true

require "vips"

# A drawn stand-in for a photograph: a ribbon beside a ruler on a cloth, ten pixels to the millimetre.
module DemoPicture
  WIDTH = 1200
  HEIGHT = 700
  CLOTH = [196, 178, 142].freeze
  RULER = [244, 232, 190].freeze
  INK = [40, 32, 24].freeze
  SOIL = [116, 78, 52].freeze
  # Where the ruler's first mark lies, and px from it to 100 mm.
  RULER_AT = [90, 110].freeze
  HUNDRED_MM = 1000
  # The middle of the ribbon from end to end, a little bent.
  RIBBON = (0..60).map { |step| [230 + (step * 8), 450 - (70 * Math.sin(step / 60.0 * Math::PI))] }.freeze
  RADIUS = 46

  module_function

  # @return [String] a JPEG
  def call
    plain =
      (Vips::Image.gaussnoise(WIDTH, HEIGHT, sigma: 7, mean: 0, seed: 1) + CLOTH).cast(:uchar).copy(
        interpretation: :srgb
      )
    plain.mutate { |image| [ruler(image), ribbon(image)] }.gaussblur(0.8).jpegsave_buffer(Q: 88)
  end

  # @return [Hash] the marks somebody would set on it
  def marks
    { ruler: { points: [RULER_AT, [RULER_AT[0] + HUNDRED_MM, RULER_AT[1]]], mm: 100 }, click_px: 3,
      ribbon: RIBBON.values_at(0, 12, 24, 36, 48, 60).map { |x, y| [x, y.round] } }
  end

  def ruler(image)
    image.draw_rect!(RULER, RULER_AT[0] - 30, RULER_AT[1] - 60, HUNDRED_MM + 60, 90, fill: true)
    (0..100).each { |mm| image.draw_rect!(INK, RULER_AT[0] + (mm * 10) - 1, RULER_AT[1] - 60, 3, tick(mm), fill: true) }
  end

  def tick(millimetre)
    return 60 if (millimetre % 10).zero?

    (millimetre % 5).zero? ? 40 : 25
  end

  # The darker edge below first, as from light above.
  def ribbon(image)
    [[SOIL.map { |part| part - 24 }, 6, RADIUS], [SOIL, 0, RADIUS - 3]].each do |colour, lower, radius|
      RIBBON.each { |x, y| image.draw_circle!(colour, x.round, y.round + lower, radius, fill: true) }
    end
  end
  private_class_method :ruler, :tick, :ribbon
end
