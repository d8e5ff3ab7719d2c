# frozen_string_literal: true

module Exchange
  # Sites that were sent as GeoJSON points.
  class SitePoints
    MOST_SITES = 10_000

    attr_reader :problems

    # @param features [Array]
    # @raise [Unreadable]
    def initialize(features)
      if features.size > MOST_SITES
        raise Unreadable,
              "The file has #{features.size} features; at most #{MOST_SITES} are imported."
      end

      @problems = Problems.new
      @sites =
        features.each_with_index.map { |feature, place| @problems.within("feature #{place + 1}") { site(feature) } }
    end

    # @return [Integer]
    def total = @sites.size

    # @return [Hash{String=>Integer}]
    def counts = { "sites" => total }

    # @param import [FileImport, nil] that the sites belong to
    # @yield after each site that is kept
    def take_in(import = nil)
      @sites.each do |site|
        Site.create!(**site, file_import: import)
        yield if block_given?
      end
    end

    private

    def site(feature)
      properties = feature.is_a?(Hash) && feature["properties"].is_a?(Hash) ? feature["properties"] : {}
      fields = Grittle::Entry::Fields::SITE
      described = Grittle::Entry::Fields.read("site", properties.slice(*fields.keys)).merge(point(feature)).compact
      name = ApplicationRecord.required_text(:name, properties["name"], "site")
      ApplicationRecord.one_of(:landform, properties["landform"], Grittle::Profiles::LANDFORMS)
      {
        name: name[0, 120],
        landform: properties["landform"],
        note: properties["note"]&.to_s&.[](0, 2000),
        described: described.presence
      }
    end

    def point(feature)
      geometry = feature.is_a?(Hash) ? feature["geometry"] : nil
      return {} if geometry.nil?

      unless geometry.is_a?(Hash) && geometry["type"] == "Point"
        refuse("A site is a point, not a #{geometry['type'] if geometry.is_a?(Hash)}.")
      end
      places = geometry["coordinates"]
      unless places.is_a?(Array) && places.size.between?(2, 3) && places.all?(Numeric)
        refuse(
          "A point has two or three numbers."
        )
      end
      place = Grittle::Entry::Position.new(places[1], places[0])
      { "latitude" => place.latitude, "longitude" => place.longitude, "elevation_m" => places[2] }
    end

    def refuse(sentence) = raise(Grittle::InvalidInput, [Grittle::Problem.new(pointer: "", sentence: sentence)])
  end
end
