# frozen_string_literal: true

module Grittle
  # What is kept of a reading's assessment, so that lists, sections and profiles need not compute it again: the
  # sentence, the ribbons, the clay with its range, and the shares that what follows goes by. Small, plain, and true for
  # one version of the reading and of the rules.
  module Verdict
    # Shares are kept to so many decimals.
    DECIMALS = 5

    module_function

    # @param assessment [Assessment]
    # @param named [NamedClass, nil] the class that was assigned
    # @return [Hash{String=>Object}] "sentence", "outcomes", "ribbon_set", "ribbon_text", "own_clay"; "clay" (percent),
    #   "mean", "shares" by percent of clay and "groups" by management group, nil where nothing is known of the texture
    def of(assessment, named)
      set = assessment.ribbon_set
      main = assessment.main
      {
        "sentence" => main["sentence"],
        "outcomes" => main["outcomes"].map { |one| one.slice("code", "name", "percent") },
        "ribbon_set" => set,
        "ribbon_text" => set && ribbon_text(set, assessment.method.unit),
        "own_clay" => own_clay(assessment),
        **follows(assessment, named)
      }
    end

    # What follows from a class that nobody textured for: the class alone, evenly.
    # @param named [NamedClass]
    # @return [Hash{String=>Object}]
    def of_class(named) = follows(Grittle.assess({}, evidence: "none"), named)

    def follows(assessment, named)
      nothing = { "clay" => nil, "mean" => nil, "shares" => nil, "groups" => nil }
      return nothing if named ? !named.texture? : assessment.estimate.empty?

      given = named && assessment.estimate.given(named)
      margins = given ? given.margins : assessment.estimate.margins
      shares = given ? given.shares : assessment.estimate.shares
      mean = margins.moments.transform_values { |part, _| part.round(1) }
      {
        "clay" => {
          "mean" => mean["clay"],
          "range" => margins.clay_range,
          "given" => !given.nil?,
          "uniform" => given ? given.uniform? : false
        },
        "mean" => mean,
        "shares" => margins.along[Evidence::CLAY].map { |share| share.round(DECIMALS) },
        "groups" => groups(shares)
      }
    end

    def groups(shares)
      codes, places = Evidence::Grid.classes(Triangles::USDA.id)
      sums = Array.new(codes.size, 0.0)
      places.each_with_index { |place, cell| sums[place] += shares[cell] }
      codes
        .zip(sums)
        .each_with_object(Hash.new(0.0)) { |(code, share), found| found[Triangles::USDA[code].group] += share }
        .transform_values { |share| share.round(DECIMALS) }
    end

    def own_clay(assessment) = assessment.observations["clay_estimate"]&.fetch("percent", nil)

    def ribbon_text(set, unit)
      return "every ribbon tore" unless set["mean_mm"]

      made = set["count"] == 1 ? "1 made" : "#{set['count']} made"
      "#{Units.say(unit == 'mm' ? set['mean_mm'].round : set['mean_mm'], unit)}, #{made}"
    end
    private_class_method :follows, :groups, :own_clay, :ribbon_text
  end
end
