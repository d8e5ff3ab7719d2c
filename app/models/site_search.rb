# frozen_string_literal: true

# Sites by what they hold: words that each begin one of theirs, a class that was given, days, and whether something is
# left to do.
class SiteSearch
  # @param params [Hash{String=>String}] text, class (SYSTEM:CODE), from, to, unfinished; sort, one of ORDERS
  # @param fieldbook [Fieldbook]
  def initialize(params, fieldbook = Fieldbook.current)
    @params = params.slice("text", "class", "from", "to", "unfinished").compact_blank
    @sort = params["sort"].presence || "own"
    raise Grittle::UnknownName.new("sort", @sort, ORDERS.keys) unless ORDERS.key?(@sort)

    @fieldbook = fieldbook
  end

  # @param text [String, nil]
  # @param name [String] of the parameter
  # @return [Date, nil]
  # @raise [Grittle::InvalidInput] for what is no date
  def self.day(text, name)
    text && Date.iso8601(text)
  rescue Date::Error
    sentence = "A day is written such as 2026-05-31, not “#{text}”."
    raise Grittle::InvalidInput, [Grittle::Problem.new(pointer: "/#{name}", sentence: sentence)]
  end

  # Of sites that nothing was looked for in.
  ORDERS = { "own" => { place: :asc, id: :asc }, "name" => { name: :asc, id: :asc }, "newest" => { id: :desc } }.freeze

  # Found sites that are counted at most beyond those before the page; who finds more narrows the search.
  MOST = 300

  # One page of what is found, in the order of their numbers.
  # @return [Array] numbers of sites, and the figures of the page: :page, :pages, :total, and :more where there are more
  #   than counted
  # @raise [Grittle::InvalidInput] for what is no date
  def page(page, size)
    parts = [*words, *with_class, *between, *unfinished]
    ids, total, more = parts.empty? ? plain(page, size) : found(parts, page, size)
    [ids, { page: page, pages: [(total / size.to_f).ceil, 1].max, total: total, more: more }]
  end

  private

  def plain(page, size)
    order = ORDERS.fetch(@sort)
    [@fieldbook.sites.order(**order).offset((page - 1) * size).limit(size).ids, @fieldbook.sites.count, false]
  end

  def found(parts, page, size)
    most = (page * size) + MOST
    ids = among(parts, most)
    [ids[(page - 1) * size, size] || [], [ids.size, most].min, ids.size > most]
  end

  # A part that few sites have leads, and the others are asked of those alone; where all have many, the first is walked
  # until enough is found. Nothing is counted whole.
  # @param parts [Array<ActiveRecord::Relation>] of search terms; a site must be in each
  # @return [Array<Integer>] numbers of sites, rising, at most one more than +most+
  def among(parts, most)
    lead, ids = parts.lazy.map { |part| [part, numbers(part.limit(most + 1))] }.find { |_, found| found.size <= most }
    lead ? in_all(ids, parts.reject { |part| part.equal?(lead) }).sort : walked(parts, most)
  end

  def walked(parts, most)
    first, *others = parts
    ids = []
    last = 0
    while ids.size <= most
      chunk = numbers(first.where(site_id: (last + 1)..).order(:site_id).limit(most + 1))
      break if chunk.empty?

      ids.concat(in_all(chunk, others).sort)
      last = chunk.last
    end
    ids.first(most + 1)
  end

  # @return [Array<Integer>] those of the fieldbook that all parts have
  def in_all(ids, parts)
    within = parts.reduce(ids) { |left, part| left.empty? ? left : numbers(part.where(site_id: left)) }
    @fieldbook.sites.where(id: within).ids
  end

  def numbers(part) = part.distinct.pluck(:site_id)

  def unfinished = @params["unfinished"] ? [SearchTerm.where(kind: "open", term: "1")] : []

  def words
    text = @params["text"] or return []
    words = SearchTerm.words(text)
    return [SearchTerm.none] if words.empty? # signs alone are found nowhere

    words.map { |word| beginning(SearchTerm.where(kind: "word"), word) }
  end

  # Where all that begins so is one word, it is asked for as such: its sites then lie in order in the index, and as many
  # as are wanted are read of them.
  def beginning(terms, word)
    begun = terms.where("term LIKE ?", "#{ActiveRecord::Base.sanitize_sql_like(word)}%")
    one = begun.order(:term).limit(1).pick(:term)
    one && begun.where("term > ?", one).limit(1).empty? ? terms.where(term: one) : begun
  end

  # By the class that stands for each horizon, whatever else belongs to its name.
  def with_class = @params["class"] ? [SearchTerm.where(kind: "class", term: @params["class"])] : []

  def between
    return [] unless @params["from"] || @params["to"]

    from, to = %w[from to].map { |name| SiteSearch.day(@params[name], name)&.iso8601 }
    [SearchTerm.where(kind: "day", term: Range.new(from || "0", to || "9"))]
  end
end
