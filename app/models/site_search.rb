# frozen_string_literal: true

# Sites by what they hold: a text anywhere in them, a class that was given, days, and whether something is left to do.
class SiteSearch
  TEXT = {
    Site => %w[sites.name sites.note sites.described], Profile => %w[profiles.name profiles.note profiles.described],
    Horizon => %w[horizons.designation horizons.described]
  }.freeze

  # @param params [Hash{String=>String}] text, class (SYSTEM:CODE), from, to, unfinished
  # @param fieldbook [Fieldbook]
  def initialize(params, fieldbook = Fieldbook.current)
    @params = params.slice("text", "class", "from", "to", "unfinished").compact_blank
    @fieldbook = fieldbook
  end

  # @return [ActiveRecord::Relation] of sites
  # @raise [Grittle::InvalidInput] for what is no date
  def sites
    found = @fieldbook.sites
    found = found.where(id: with_text) if @params["text"]
    found = found.where(id: with_class) if @params["class"]
    found = found.where(id: between) if @params["from"] || @params["to"]
    @params["unfinished"] ? found.where(id: Profile.where(open: true).select(:site_id)) : found
  end

  private

  def with_text
    like = "%#{ActiveRecord::Base.sanitize_sql_like(@params['text'])}%"
    all = Site.left_joins(profiles: :horizons)
    TEXT.values.flatten.map { |column| all.where("#{column} LIKE ?", like) }.reduce(:or).select(:id)
  end

  # By the class that stands for each horizon, whatever else belongs to its name.
  def with_class
    system, code = @params["class"].split(":", 2)
    given = Horizon.where(class_system: system, class_code: code, removed_at: nil)
    Profile.where(id: given.select(:profile_id)).select(:site_id)
  end

  def between
    from, to = %w[from to].map { |name| day(name) }
    made = Profile.joins(horizons: { samples: :readings }).where(readings: { started_at: Range.new(from, to && (to + 1)) })
    dated = Site.where("JSON_VALUE(described, '$.date') BETWEEN ? AND ?", from&.iso8601 || "0", to&.iso8601 || "9")
    Site.where(id: made.select(:site_id)).or(Site.where(id: dated.select(:id))).select(:id)
  end

  def day(name)
    @params[name] && Date.iso8601(@params[name])
  rescue Date::Error
    raise Grittle::InvalidInput,
          [Grittle::Problem.new(pointer: "/#{name}", sentence: "A day is written such as 2026-05-31, not “#{@params[name]}”.")]
  end
end
