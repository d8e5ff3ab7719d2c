# frozen_string_literal: true

# What a site is found by: words and a day of its own, words, classes and days of its profiles, and that one is open. It
# follows from what is described and is kept so that a search reads an index.
class SearchTerm < ApplicationRecord
  belongs_to :site
  belongs_to :profile, optional: true

  WORD = /[\p{L}\p{N}]+/
  LONGEST = 60

  class << self
    # @param texts [Array<String, Array, nil>]
    # @return [Array<String>] the words in them, each once
    def words(*texts)
      texts
        .flatten
        .grep(String)
        .join(" ")
        .unicode_normalize(:nfkc)
        .downcase
        .scan(WORD)
        .map { |word| word[0, LONGEST] }
        .uniq
    end

    # Adds and removes only what has changed.
    # @param owner [Site, Profile]
    # @param terms [Hash{String=>Array<String>}] by kind: word, class, day, open
    def keep(owner, terms)
      of =
        owner.is_a?(Profile) ? { site_id: owner.site_id, profile_id: owner.id } : { site_id: owner.id, profile_id: nil }
      wanted = terms.flat_map { |kind, found| found.compact.map { |term| [kind, term] } }.uniq
      kept = where(of).pluck(:kind, :term, :id).to_h { |kind, term, id| [[kind, term], id] }
      where(id: kept.except(*wanted).values).delete_all if (kept.keys - wanted).any?
      rows = (wanted - kept.keys).map { |kind, term| { **of, kind: kind, term: term } }
      insert_all!(rows) if rows.any?
    end

    # Brings what an earlier version kept to what lists and searches read: nothing has no term at all.
    def catch_up
      Site.kept.where.not(id: where(profile_id: nil).select(:site_id)).find_each(&:refresh)
      Profile.kept.where.not(id: where.not(profile_id: nil).select(:profile_id)).find_each(&:refresh)
    end
  end
end
