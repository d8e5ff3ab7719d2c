# frozen_string_literal: true

module Exchange
  # What is exported: the whole fieldbook, one site, or one profile with its site.
  class Scope
    OF = %w[fieldbook site profile].freeze

    # @param of [String] one of OF
    # @param id [Integer, nil]
    # @raise [Grittle::UnknownName, ActiveRecord::RecordNotFound]
    def initialize(of, id = nil)
      raise Grittle::UnknownName.new("of", of, OF) unless OF.include?(of)

      @whole = of == "fieldbook"
      fieldbook = Fieldbook.current
      @site = fieldbook.sites.find(id) if of == "site"
      @profile = fieldbook.profiles.find(id) if of == "profile"
    end

    # @return [String] for a file's name
    def name = (@profile || @site)&.name || "fieldbook"

    # @return [Profile, nil]
    attr_reader :profile

    # @return [ActiveRecord::Relation] of one table
    def relation(table)
      return table.model.all if @whole

      send(table.name)
    end

    private

    def sites = Site.where(id: @profile ? @profile.site_id : @site.id)
    def profiles = @profile ? Profile.where(id: @profile.id) : Profile.where(site: @site)
    def horizons = Horizon.where(profile_id: profiles.select(:id))

    def samples
      found = Sample.where(horizon_id: horizons.select(:id)).or(Sample.where(profile_id: profiles.select(:id)))
      @profile ? found : found.or(Sample.where(site_id: @site.id))
    end

    def reported_classes = ReportedClass.where(horizon_id: horizons.select(:id))
    def findings = Finding.where(sample_id: samples.select(:id))
    def readings = Reading.where(sample_id: samples.select(:id))
    def answers = Answer.where(reading_id: readings.select(:id))
    def ribbons = Ribbon.where(reading_id: readings.select(:id))
    def assignments = Assignment.where(reading_id: readings.select(:id))

    def layer_changes = LayerChange.where(profile_id: profiles.select(:id))

    def revisions
      Traces::OF.map { |model, table| Revision.where(record_type: model, record_id: send(table).select(:id)) }.reduce(:or)
    end

    def photos
      { "site" => sites, "profile" => profiles, "horizon" => horizons, "reading" => readings }
        .map { |of, owners| Photo.where(of: of, of_id: owners.select(:id)) }.reduce(:or)
    end
  end
end
