# frozen_string_literal: true

module Reports
  # What a report of a profile, or of a site with all its profiles, says: sections in a fixed order, each a list of
  # blocks, so that the page, the PDF and what is kept of a frozen report are the same.
  #
  #   block: { "kind" => "facts", "rows" => [[label, value]] }, "table" with "head" and "rows", "list" with "items",
  #   "text", "heading", "caution", "column" with "svg" and "alt", "photos", "sign" with "rows"
  class Content
    FIELDS = Grittle::Entry::Fields
    SITE = %w[project date observer weather slope_percent aspect land_use history vegetation surface_condition
              geology].freeze
    PROFILE = %w[date excavated_depth_cm stopped_by water_table_cm drainage_class parent_material].freeze
    CAUTIONS = %w[results exposure services holes sampling effluent].freeze

    # [common practice: the usual deferral]
    DEFERS = "Nothing in this report is a design value. Local codes and licensed people decide on effluent disposal, " \
             "footings, dams, slopes, drainage, contamination and safety; where they ask for laboratory results, " \
             "hand texture does not replace them."

    # @param report [Report]
    def initialize(report)
      @report = report
      @profiles = report.profiles
      @site = report.land
    end

    # @return [Hash{String=>Object}] "title", "language", "block", "sections", each with "title" and "blocks"
    def to_h
      several = @profiles.size > 1
      chapters = @profiles.flat_map do |profile|
        OfProfile.new(profile, @report).sections.map do |title, blocks|
          section(several ? "#{profile.name}: #{title.downcase}" : title, blocks)
        end
      end
      { "title" => "Report on #{@report.owner.name}", "language" => "en", "block" => @report.title_block,
        "sections" => [site, *chapters, cautions, photographs, signatures].compact }
    end

    # @param content [Hash] of a report
    # @param digest [String] of a picture that it shows
    # @return [Photo, nil] with that picture, whether its row is still there or not
    def self.photo(content, digest)
      photos = content["sections"].flat_map { |section| section["blocks"] }.flat_map { |block| block["photos"] || [] }
      found = photos.find { |one| one["digest"] == digest && digest.match?(Shape::DIGEST) }
      found && Photo.new(found.slice("digest", "media_type"))
    end

    # @return [Hash] as a page or a PDF renders it; blocks that hold nothing are left out
    def self.section(title, blocks)
      { "title" => title, "blocks" => blocks.compact.reject { |block| block.values_at("rows", "items").include?([]) } }
    end

    # @param kind [String] one of Grittle::Entry::Fields::ALL
    # @return [Array<Array<String>>] label and value of what was written down
    def self.said(kind, seen, names = FIELDS::ALL[kind].keys)
      names.filter_map do |name|
        field = FIELDS::ALL[kind][name]
        [field.label, field.say(seen[name])] unless seen[name].nil?
      end
    end

    private

    def section(...) = Content.section(...)

    def site
      asked = @report.asked
      rows = [
        ["Site", @site.name], ["Position", [@site.position&.to_s, @site.position&.utm].compact.join("; ").presence],
        ["Landform", @site.landform && Grittle::Profiles::LANDFORMS.fetch(@site.landform)],
        *Content.said("site", @site.seen, SITE), ["Note", @site.note], ["Made for", asked["client"]],
        ["Reference", asked["reference"]], ["Question", asked["question"]]
      ]
      section("Site and question", [facts(rows), people])
    end

    def people
      rows = @profiles.flat_map do |profile|
        made = profile.horizons.flat_map(&:readings)
        [["#{profile.name}, exposure", exposure(profile)],
         ["#{profile.name}, textured by", names(made.map(&:textured_by), made)],
         ["#{profile.name}, recorded by", names(made.map(&:recorded_by), made)]]
      end
      facts(rows)
    end

    def exposure(profile)
      [Grittle::Profiles::EXPOSURES[profile.kind],
       *Content.said("profile", profile.seen, PROFILE).map { |label, value| "#{label}: #{value}" },
       profile.note].compact.join(". ")
    end

    def names(people, readings)
      days = readings.map { |reading| reading.started_at.to_date.iso8601 }.uniq.sort
      named = people.compact.map(&:name).uniq
      "#{named.join(', ')}, #{[days.first, days.last].compact.uniq.join(' to ')}" if named.any?
    end

    def facts(rows) = { "kind" => "facts", "rows" => rows.reject { |_, value| value.blank? } }

    def cautions
      contaminated = @site.seen["contamination"] == true ? ["contaminated"] : []
      items = (contaminated + CAUTIONS).map do |name|
        caution = Grittle::Tests::CAUTIONS.fetch(name)
        "#{caution[:sentence]} #{caution[:more]}"
      end
      section("Cautions", [{ "kind" => "caution", "text" => DEFERS }, { "kind" => "list", "items" => items }])
    end

    def photographs
      owners = [@site, *@profiles, *@profiles.flat_map(&:horizons)]
      found = owners.flat_map { |owner| Photo.of(owner).map { |photo| [owner, photo] } }
      return if found.empty?

      section("Photographs", [{ "kind" => "photos", "photos" => found.map { |owner, photo| photo(owner, photo) } }])
    end

    def photo(owner, photo)
      { "id" => photo.id, "digest" => photo.digest, "media_type" => photo.media_type, "width" => photo.width,
        "height" => photo.height, "caption" => [NamedThing.new(owner).label, photo.caption].compact.join(": ") }
    end

    def signatures
      rows = [["Report by", @report.title_block["name"]], ["Checked by", nil], ["Place and date", nil]]
      section("Signatures", [{ "kind" => "sign", "rows" => rows.map { |label, name| [label, name.to_s] } }])
    end
  end
end
