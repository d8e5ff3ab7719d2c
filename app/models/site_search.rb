# frozen_string_literal: true

# Sites by what they hold: words that each begin one of theirs, a class that was given, days, and whether something is left to do.
class SiteSearch
  # @param params [Hash{String=>String}] text, class (SYSTEM:CODE), from, to, unfinished
  # @param fieldbook [Fieldbook]
  def initialize(params, fieldbook = Fieldbook.current)
    @params = params.slice("text", "class", "from", "to", "unfinished").compact_blank
    @fieldbook = fieldbook
  end

  # Each part is found by itself, from an index; a site must be among all of them.
  # @return [ActiveRecord::Relation] of sites
  # @raise [Grittle::InvalidInput] for what is no date
  def sites
    found = [*words, *with_class, *between]
    found << Profile.where(open: true) if @params["unfinished"]
    found.each_with_index.reduce(@fieldbook.sites) do |sites, (part, place)|
      sites.joins("JOIN (#{part.distinct.select(:site_id).to_sql}) AS part#{place} ON part#{place}.site_id = sites.id")
    end
  end

  private

  def words
    text = @params["text"] or return []
    words = SearchTerm.words(text)
    return [SearchTerm.none] if words.empty? # signs alone are found nowhere

    words.map { |word| SearchTerm.where(kind: "word").where("term LIKE ?", "#{ActiveRecord::Base.sanitize_sql_like(word)}%") }
  end

  # By the class that stands for each horizon, whatever else belongs to its name.
  def with_class = @params["class"] ? [SearchTerm.where(kind: "class", term: @params["class"])] : []

  def between
    return [] unless @params["from"] || @params["to"]

    from, to = %w[from to].map { |name| day(name)&.iso8601 }
    [SearchTerm.where(kind: "day", term: Range.new(from || "0", to || "9"))]
  end

  def day(name)
    @params[name] && Date.iso8601(@params[name])
  rescue Date::Error
    raise Grittle::InvalidInput,
          [Grittle::Problem.new(pointer: "/#{name}", sentence: "A day is written such as 2026-05-31, not “#{@params[name]}”.")]
  end
end
