# frozen_string_literal: true

module Exchange
  # Sites as points on the map, WGS84. [published: RFC 7946] Sites without a position have no geometry.
  class SitesGeojson
    MEDIA_TYPE = "application/geo+json"

    # @param scope [Scope]
    def initialize(scope)
      @scope = scope
    end

    # @yieldparam piece [String]
    def each
      table = Tables::BY_NAME["sites"]
      yield %({"type":"FeatureCollection","features":[)
      opening = "\n"
      Rows.new(table, @scope.relation(table)).each do |row|
        yield opening + JSON.generate(feature(row))
        opening = ",\n"
      end
      yield "\n]}\n"
    end

    private

    def feature(row)
      place = row.values_at("longitude", "latitude")
      {
        type: "Feature",
        id: row["id"],
        geometry: place.all? ? { type: "Point", coordinates: [*place, row["elevation_m"]].compact } : nil,
        properties: row.except("id", "latitude", "longitude").compact
      }
    end
  end
end
