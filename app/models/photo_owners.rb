# frozen_string_literal: true

# What a photograph can be of, and the photographs of a thing.
module PhotoOwners
  OWNERS = { "site" => "Site", "profile" => "Profile", "horizon" => "Horizon", "reading" => "Reading" }.freeze

  # @param owner [ApplicationRecord]
  # @return [ActiveRecord::Relation] of photographs
  def of(owner) = standing.where(of: OWNERS.key(owner.class.name), of_id: owner.id).order(:id)

  # @param owners [Array<ApplicationRecord>] of one kind
  # @return [Hash{Integer=>Array<Photo>}] by the owner's id
  def of_each(owners)
    return {} if owners.empty?

    standing.where(of: OWNERS.key(owners.first.class.name), of_id: owners.map(&:id)).order(:id).group_by(&:of_id)
  end

  # Of a fieldbook.
  module Within
    # @param kind [String] one of OWNERS
    # @return [ActiveRecord::Relation]
    # @raise [Grittle::UnknownName]
    def owners(kind)
      raise Grittle::UnknownName.new("of", kind, OWNERS.keys) unless OWNERS.key?(kind)

      kind == "reading" ? on_bench : public_send(:"#{kind}s")
    end
  end
end
