# frozen_string_literal: true

# The first profiles of each site, without the database's own counting.
class Profile
  def self.first_of(sites)
    all = kept.where(site: sites).order(:id).group_by(&:site_id).values
    ActiveRecord::Found.new(all.flat_map { |of_site| of_site.first(LISTED) })
  end
end

# Where the work stopped, without the database's own order.
class Work
  def self.current(fieldbook = Fieldbook.current)
    left = fieldbook.readings.reject(&:classed).select { |one| one.horizon || QuickReadings.touched?(one) }
    reading = left.max_by { |one| [one.updated_at, one.id] }
    return new(reading: reading, horizon: reading.horizon) if reading

    horizon = fieldbook.profiles.select(&:open).max_by { |one| [one.touched_at, one.id] }&.next_horizon
    new(horizon: horizon) if horizon
  end
end

# The server's rooms that are open on this device; what it does otherwise stands before them.
module Device
  Api.post("/api/photos") do
    owner = fieldbook.owners(params["of"]).find(params["of_id"])
    answer DescriptionSerializer.photo(Photo.make(owner, input, name: params["name"], token: params["token"])), 201
  end

  [Routes::AssessorTables, Routes::Catalogue, Routes::Companions, Routes::Descriptions, Routes::Fieldbook,
   Routes::Interpretation, Routes::OwnThings, Routes::Readings].each { |room| Api.register(room) }
end
