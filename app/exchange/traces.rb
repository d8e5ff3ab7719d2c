# frozen_string_literal: true

module Exchange
  # The earlier values that changes left: they speak of other rows by id, inside what they keep, and those ids are
  # others on the way in.
  module Traces
    # What in a kept value is an id of which table.
    REFS = {
      "reported_reading_id" => "readings", "horizon_id" => "horizons", "profile_id" => "profiles", "site_id" => "sites"
    }.freeze
    PEOPLE = %w[textured_by recorded_by].freeze
    # Whose values, and the table of theirs.
    OF = { "Site" => "sites", "Profile" => "profiles", "Horizon" => "horizons", "Sample" => "samples" }.freeze

    module_function

    # @param was [Hash] as the database keeps it
    # @return [Hash] with people by name
    def outward(was)
      PEOPLE.select { |role| was.key?("#{role}_id") }.reduce(was) do |kept, role|
        kept.except("#{role}_id").merge(role => (id = was["#{role}_id"]) && Observer.find(id).name)
      end
    end

    # @param new_ids [Hash{String=>Hash}] by table
    # @return [Hash] as the database keeps it
    def inward(was, new_ids)
      mapped = was.to_h { |name, value| [name, REFS.key?(name) && value ? new_ids[REFS[name]][value] : value] }
      people = was.slice(*PEOPLE).to_h { |role, name| ["#{role}_id", Observer.named(name)&.id] }
      mapped.except(*PEOPLE).merge(people)
    end

    # Layers as they were before a change.
    def layers_inward(was, new_ids)
      { "horizons" => was["horizons"].map do |layer|
        inward(layer, new_ids).merge("id" => new_ids["horizons"][layer["id"]])
      end,
        "samples" => was["samples"].map do |sample, horizon|
          [new_ids["samples"][sample], new_ids["horizons"][horizon]]
        end }
    end

    # @raise [Grittle::InvalidInput] for what no change of ours would have left
    def check(was, model)
      allowed = OF.key?(model) ? Object.const_get(model).column_names + PEOPLE : []
      refuse("was must be an object of columns.") unless was.is_a?(Hash) && (was.keys - allowed).empty?
    end

    # @param ids [Hash{String=>Hash}] those of the file, by table
    # @raise [Grittle::InvalidInput]
    def check_layers(was, ids)
      horizons, samples = was.is_a?(Hash) ? was.values_at("horizons", "samples") : nil
      fine = [horizons, samples].all?(Array) && horizons.all? { |one| layer?(one, ids) } && samples.all? do |one|
        pair?(one, ids)
      end
      refuse("was is not how layers were.") unless fine
    end

    def layer?(layer, ids)
      layer.is_a?(Hash) && (layer.keys - LayerChange::COLUMNS).empty? && ids["horizons"][layer["id"]]
    end

    def pair?(pair, ids)
      pair.is_a?(Array) && ids["samples"][pair.first] && (pair.last.nil? || ids["horizons"][pair.last])
    end

    def refuse(sentence) = raise(Grittle::InvalidInput, [Grittle::Problem.new(pointer: "", sentence: sentence)])
    private_class_method :layer?, :pair?, :refuse
  end
end
