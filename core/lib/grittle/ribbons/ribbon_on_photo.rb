# frozen_string_literal: true

module Grittle
  # A ribbon measured on a photograph: two marks on a ruler with the length between them, then marks along the ribbon,
  # straight or curled. Points are pixels of the picture, lengths mm. Frozen. [Grittle's own model]
  #
  # Between marks the ribbon is taken as an arc that turns as the marks do, so a curl clicked coarsely is not cut short.
  # Each mark is off by about +click_px+ in any direction; that carries through the ruler's scale and along the ribbon
  # to the length.
  class RibbonOnPhoto
    FIGURES = Data::PHOTOGRAPHS
    CLICK_PX = FIGURES["click"]
    POINTS = FIGURES["points"]
    EVEN_SCALE = FIGURES["even_scale"]
    SHORT_RULER = FIGURES["short_ruler"]
    FAR_RULER = FIGURES["far_ruler"]
    RULER_MM = FIGURES["ruler"]
    OUTSIDE = FIGURES["outside"]
    PLANE =
      "The ruler must lie beside the ribbon, at the same height: 1 cm nearer to a camera at 30 cm reads 3 % longer."

    attr_reader :length_mm, :error_mm, :warnings

    # @param ruler [Hash] "points" (two) and "mm"
    # @param ribbon [Array<Array<Numeric>>] two points or more
    # @param second [Hash, nil] a second ruler, or another part of it
    # @param click_px [Numeric] in pixels of the picture
    # @param size [Array<Integer>, nil] width and height of the picture, px, where it is known
    # @raise [InvalidInput]
    def initialize(ruler:, ribbon:, second: nil, click_px: CLICK_PX, size: nil)
      check(ruler, ribbon, second)
      check_inside([*ruler["points"], *second&.fetch("points"), *ribbon], *size) if size
      @ribbon = ribbon
      @scales = [ruler, second].compact.map { |one| one["mm"] / distance(*one["points"]) }
      @scale = @scales.sum / @scales.size
      chords = ribbon.each_cons(2).map { |from, to| distance(from, to) }
      @turns = turns
      @length_mm = chords.each_with_index.sum { |chord, at| chord * bend(at, chords.size) } * @scale
      @error_mm = Math.sqrt(marks_error(click_px) + scale_error([ruler, second].compact, click_px))
      @warnings = warn(ruler, chords.sum * @scale).freeze
      freeze
    end

    # @return [Hash] as on the wire
    def to_h = { "length_mm" => length_mm.round(1), "error_mm" => error_mm.round(1), "warnings" => warnings }

    private

    def check(ruler, ribbon, second)
      unless POINTS.cover?(ribbon.size)
        refuse(
          "/ribbon",
          "Mark the ribbon with #{POINTS.begin} to #{POINTS.end} points."
        )
      end
      { "/ruler" => ruler, "/second" => second }.each do |pointer, one|
        next unless one

        refuse(pointer, "Mark two points of the ruler.") unless one["points"].size == 2
        unless RULER_MM.cover?(one["mm"])
          refuse(
            pointer,
            "The length between the marks is #{RULER_MM.begin} to #{RULER_MM.end} mm."
          )
        end
        refuse(pointer, "The two marks of the ruler lie on one another.") if distance(*one["points"]) < 1
      end
      return unless ribbon.each_cons(2).any? { |from, to| distance(from, to) < 0.5 }

      refuse(
        "/ribbon",
        "Two marks of the ribbon lie on one another."
      )
    end

    def check_inside(points, width, height)
      inside = points.all? do |x, y|
        x.between?(-OUTSIDE * width, (1 + OUTSIDE) * width) && y.between?(-OUTSIDE * height, (1 + OUTSIDE) * height)
      end
      return if inside

      refuse(
        "/ribbon",
        "A mark lies outside the picture, which is #{width} by #{height} pixels. Mark it again."
      )
    end

    def distance(from, to) = Math.hypot(to[0] - from[0], to[1] - from[1])

    # Radians by which the way turns at each inner mark.
    def turns
      @ribbon.each_cons(3).map do |a, b, c|
        turn = Math.atan2(c[1] - b[1], c[0] - b[0]) - Math.atan2(b[1] - a[1], b[0] - a[0])
        (((turn + Math::PI) % (2 * Math::PI)) - Math::PI).abs
      end
    end

    # How much longer the arc is than its chord: an arc over the angle a is (a/2) / sin(a/2) as long. [published:
    # geometry]
    def bend(at, count)
      beside = [(@turns[at - 1] if at.positive?), (@turns[at] if at < count - 1)].compact
      return 1.0 if beside.empty?

      half = (beside.sum / beside.size / 2).clamp(0, Math::PI / 2)
      half < 1e-6 ? 1.0 : half / Math.sin(half)
    end

    # An end moves the length by its error along the ribbon; an inner mark by what its turn leaves of it.
    def marks_error(click) = ((click * @scale)**2) * (2 + @turns.sum { |turn| 2 * (1 - Math.cos(turn)) })

    def scale_error(rulers, click)
      shares = rulers.map { |one| 2 * ((click / distance(*one["points"]))**2) }
      aslant = @scales.size > 1 ? ((@scales.max - @scales.min) / @scale / 2)**2 : 0
      (length_mm**2) * ((shares.sum / (shares.size**2)) + aslant)
    end

    def warn(ruler, straight)
      {
        "aslant" => @scales.size > 1 && (@scales.max - @scales.min) / @scale > EVEN_SCALE,
        "short_ruler" => ruler["mm"] < SHORT_RULER * straight,
        "far_ruler" =>
          @ribbon.map { |point| from_ruler(point, *ruler["points"]) }.min > FAR_RULER * distance(*ruler["points"])
      }.filter_map { |name, raised| { "warning" => name, "sentence" => SENTENCES[name] } if raised }
    end

    # How far a point lies from the piece of the ruler between its marks.
    def from_ruler(point, from, to)
      dx = to[0] - from[0]
      dy = to[1] - from[1]
      along = ((((point[0] - from[0]) * dx) + ((point[1] - from[1]) * dy)) / ((dx**2) + (dy**2)).to_f).clamp(0, 1)
      distance(point, [from[0] + (along * dx), from[1] + (along * dy)])
    end

    def refuse(pointer, sentence) = raise(InvalidInput, [Problem.new(pointer: pointer, sentence: sentence)])

    SENTENCES = {
      "aslant" => "The two scales differ: ruler and ribbon lie aslant to the camera or not in one plane. " \
                  "Take the picture from straight above.",
      "short_ruler" => "The marked piece of the ruler is short for this ribbon: mark a longer one.",
      "far_ruler" => "The ruler lies far from the ribbon and perhaps not in its plane."
    }.freeze
    private_constant :SENTENCES
  end
end
