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

    # Numbers are looked up once and level by level: nested in one another, the database would go through whole tables.
    def sites = Site.where(id: @profile ? @profile.site_id : @site.id)
    def profiles = Profile.where(id: profile_ids)
    def horizons = Horizon.where(id: horizon_ids)
    def samples = Sample.where(id: sample_ids)
    def reported_classes = ReportedClass.where(horizon_id: horizon_ids)
    def findings = Finding.where(sample_id: sample_ids)
    def readings = Reading.where(id: reading_ids)
    def answers = Answer.where(reading_id: reading_ids)
    def ribbons = Ribbon.where(reading_id: reading_ids)
    def assignments = Assignment.where(reading_id: reading_ids)
    def layer_changes = LayerChange.where(profile_id: profile_ids)
    def revisions = owned(Traces::OF) { |model, ids| Revision.where(record_type: model, record_id: ids) }
    def photos = owned(Tables::PHOTO_OF) { |of, ids| Photo.where(of: of, of_id: ids) }

    # @param owners [Hash{String=>String}] what a row says of its owner => the owner's table
    def owned(owners)
      owners.map { |said, table| yield said, send("#{table.delete_suffix('s')}_ids") }.reduce(:or)
    end

    def site_ids = [@profile ? @profile.site_id : @site.id]
    def profile_ids = @profile_ids ||= @profile ? [@profile.id] : Profile.where(site: @site).ids
    def horizon_ids = @horizon_ids ||= Horizon.where(profile_id: profile_ids).ids
    def reading_ids = @reading_ids ||= Reading.where(sample_id: sample_ids).ids

    def sample_ids
      owners = { horizon_id: horizon_ids, profile_id: profile_ids, site_id: @profile ? [] : site_ids }
      @sample_ids ||= owners.flat_map { |column, ids| Sample.where(column => ids).ids }.uniq
    end
  end
end
