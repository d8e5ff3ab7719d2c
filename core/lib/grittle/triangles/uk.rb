# frozen_string_literal: true

module Grittle
  module Triangles
    # United Kingdom, 11 classes; limits of the fractions 2 / 60 / 2000 µm.
    # [from memory: Hodgson, Soil Survey Field Handbook; provisional until checked against the handbook]
    # s, z, c = sand, silt, clay in percent. Written as a partition: the printed order "sand, then loamy sand, then …"
    # is spelt out as conditions, so that exactly one rule holds.
    UK = Triangle.new(
      id: "uk",
      name: "United Kingdom",
      silt_limit: 60,
      provisional: true,
      source: "Hodgson, Soil Survey Field Handbook (not checked against the source; provisional)",
      decide: lambda { |s, z, c|
        if c < 18
          if z + (2 * c) < 30 - LINE then z + (1.5 * c) < 15 - LINE ? "S" : "LS"
          elsif s > 50 then "SL"
          else s >= 20 ? "SZL" : "ZL"
          end
        elsif c >= 55 then "C"
        elsif c >= 30 && s >= 45 then "SC"
        elsif c < 35
          if s >= 50 then "SCL"
          else s >= 20 ? "CL" : "ZCL"
          end
        else
          z >= 45 ? "ZC" : "C"
        end
      },
      rules: {
        "S" => ->(_, z, c) { z + (1.5 * c) < 15 - LINE },
        "LS" => ->(_, z, c) { z + (1.5 * c) >= 15 - LINE && z + (2 * c) < 30 - LINE },
        "SL" => ->(s, z, c) { z + (2 * c) >= 30 - LINE && c < 18 && s > 50 },
        "SZL" => ->(s, z, c) { z + (2 * c) >= 30 - LINE && c < 18 && s >= 20 && s <= 50 },
        "ZL" => ->(s, _, c) { c < 18 && s < 20 },
        "SCL" => ->(s, _, c) { c >= 18 && c < 30 && s >= 50 },
        "CL" => ->(s, _, c) { (c >= 18 && c < 30 && s >= 20 && s < 50) || (c >= 30 && c < 35 && s >= 20 && s < 45) },
        "ZCL" => ->(s, _, c) { c >= 18 && c < 35 && s < 20 },
        "SC" => ->(s, _, c) { c >= 30 && c < 55 && s >= 45 },
        "ZC" => ->(s, z, c) { c >= 35 && c < 55 && s < 45 && z >= 45 },
        "C" => ->(s, z, c) { (c >= 35 && c < 55 && s < 45 && z < 45) || c >= 55 }
      },
      classes: TextureClass.list(
        ["S", "sand", "coarse", [[100, 0], [85, 0], [90, 10]]],
        ["LS", "loamy sand", "coarse", [[85, 0], [70, 0], [85, 15], [90, 10]]],
        ["SL", "sandy loam", "moderately coarse", [[70, 0], [50, 0], [50, 18], [82, 18], [85, 15]]],
        ["SZL", "sandy silt loam", "medium", [[50, 0], [20, 0], [20, 18], [50, 18]]],
        ["ZL", "silt loam", "medium", [[20, 0], [0, 0], [0, 18], [20, 18]]],
        ["SCL", "sandy clay loam", "moderately fine", [[82, 18], [50, 18], [50, 30], [70, 30]]],
        ["CL", "clay loam", "moderately fine", [[50, 18], [20, 18], [20, 35], [45, 35], [45, 30], [50, 30]]],
        ["ZCL", "silty clay loam", "moderately fine", [[20, 18], [0, 18], [0, 35], [20, 35]]],
        ["SC", "sandy clay", "fine", [[70, 30], [45, 30], [45, 55]]],
        ["ZC", "silty clay", "fine", [[20, 35], [0, 35], [0, 55]]],
        ["C", "clay", "fine", [[45, 35], [20, 35], [0, 55], [0, 100], [45, 55]]]
      )
    )
  end
end
