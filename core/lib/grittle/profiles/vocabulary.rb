# frozen_string_literal: true

module Grittle
  module Profiles
    # How the ground was opened, and the words for it.
    EXPOSURES = {
      "pit" => "Pit",
      "hand_auger" => "Hand auger",
      "power_auger" => "Power auger",
      "probe" => "Probe",
      "spade_hole" => "Spade hole",
      "cutting" => "Cutting",
      "surface_sample" => "Surface sample"
    }.freeze

    # Where in the landscape a site lies, from the top down. [positions on a hillslope, published: Schoeneberger et al.
    # 2012, Field Book for Describing and Sampling Soils, 3.0; the rest common practice]
    LANDFORMS = {
      "crest" => "Summit", "shoulder" => "Shoulder", "upper_slope" => "Upper slope", "backslope" => "Backslope",
      "mid_slope" => "Mid slope", "lower_slope" => "Lower slope", "foot" => "Footslope", "toeslope" => "Toeslope",
      "terrace" => "Terrace", "plain" => "Plain", "flat" => "Flat", "drainage_line" => "Drainage line"
    }.freeze

    # Suggestions only; a designation is free text.
    DESIGNATIONS = %w[O A Ah Ap E Ae Aeg AE AB B Bm Bt Btg BC C Cg Ck R].freeze
  end
end
