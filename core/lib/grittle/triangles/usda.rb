# frozen_string_literal: true

module Grittle
  module Triangles
    # The twelve classes of the USDA, limits of the fractions 2 / 50 / 2000 µm.
    # Rules and groups [published: Soil Survey Manual, USDA Handbook 18, 2017, ch. 3].
    # s, z, c = sand, silt, clay in percent. Vertices are [sand, clay], worked out from the rules.
    LINE = Triangle::LINE
    USDA = Triangle.new(
      id: "usda",
      name: "USDA",
      source: "Soil Survey Manual, USDA Handbook 18, 2017, ch. 3",
      decide: lambda { |s, z, c|
        if c < 15 && z + (2 * c) < 30 - LINE then z + (1.5 * c) < 15 - LINE ? "S" : "LS"
        elsif c < 27
          if z >= 50 then z < 80 || c >= 12 ? "SIL" : "SI"
          elsif c < 7 then "SL"
          elsif c < 20 then s > 52 ? "SL" : "L"
          else z >= 28 ? "L" : "SCL"
          end
        elsif s > 45 then c < 35 ? "SCL" : "SC"
        elsif c < 40 then s > 20 ? "CL" : "SICL"
        else z >= 40 ? "SIC" : "C"
        end
      },
      rules: {
        "S" => ->(_, z, c) { z + (1.5 * c) < 15 - LINE },
        "LS" => ->(_, z, c) { z + (1.5 * c) >= 15 - LINE && z + (2 * c) < 30 - LINE },
        "SL" => lambda { |s, z, c|
          z + (2 * c) >= 30 - LINE && ((c >= 7 && c < 20 && s > 52) || (c < 7 && z < 50))
        },
        "L" => ->(s, z, c) { c >= 7 && c < 27 && z >= 28 && z < 50 && s <= 52 },
        "SIL" => ->(_, z, c) { (z >= 50 && c >= 12 && c < 27) || (z >= 50 && z < 80 && c < 12) },
        "SI" => ->(_, z, c) { z >= 80 && c < 12 },
        "SCL" => ->(s, z, c) { c >= 20 && c < 35 && z < 28 && s > 45 },
        "CL" => ->(s, _, c) { c >= 27 && c < 40 && s > 20 && s <= 45 },
        "SICL" => ->(s, _, c) { c >= 27 && c < 40 && s <= 20 },
        "SC" => ->(s, _, c) { c >= 35 && s > 45 },
        "SIC" => ->(_, z, c) { c >= 40 && z >= 40 },
        "C" => ->(s, z, c) { c >= 40 && s <= 45 && z < 40 }
      },
      classes: TextureClass.list(
        ["S", "sand", "coarse", [[100, 0], [85, 0], [90, 10]]],
        ["LS", "loamy sand", "coarse", [[85, 0], [70, 0], [85, 15], [90, 10]]],
        ["SL", "sandy loam", "moderately coarse",
         [[70, 0], [50, 0], [43, 7], [52, 7], [52, 20], [80, 20], [85, 15]]],
        ["L", "loam", "medium", [[43, 7], [52, 7], [52, 20], [45, 27], [23, 27]]],
        ["SIL", "silt loam", "medium", [[50, 0], [23, 27], [0, 27], [0, 12], [8, 12], [20, 0]]],
        ["SI", "silt", "medium", [[20, 0], [8, 12], [0, 12], [0, 0]]],
        ["SCL", "sandy clay loam", "moderately fine", [[80, 20], [52, 20], [45, 27], [45, 35], [65, 35]]],
        ["CL", "clay loam", "moderately fine", [[45, 27], [20, 27], [20, 40], [45, 40]]],
        ["SICL", "silty clay loam", "moderately fine", [[20, 27], [0, 27], [0, 40], [20, 40]]],
        ["SC", "sandy clay", "fine", [[65, 35], [45, 35], [45, 55]]],
        ["SIC", "silty clay", "fine", [[20, 40], [0, 40], [0, 60]]],
        ["C", "clay", "fine", [[45, 40], [20, 40], [0, 60], [0, 100], [45, 55]]]
      )
    )
  end
end
