# frozen_string_literal: true

require "zip_kit"

# Every key and every code it can name goes through all that a class goes through: assigned twice to one horizon, shown
# on the section and beside another profile, exported, taken in again, and printed.
RSpec.describe "every name that a key gives" do
  rows = Grittle.keys.flat_map do |key|
    systems = Grittle::FieldMethod::PARTS[:system].of?(key::ID) ? Grittle::TRIANGLES.keys : [key::SYSTEM]
    systems.map { |system| [key::ID, system, key.codes(system)] }
  end

  # Two readings of one horizon: every code, and the one that stands farthest from it in the key's list.
  def texture(horizon, key, system, code)
    reading = begin_reading(horizon)
    reading =
      api_patch(
        "/api/readings/#{reading['id']}",
        {
          version: reading["version"],
          key: key,
          answers: {
            wet_rub: "neither"
          },
          **(Grittle::TRIANGLES.key?(system) ? { system: system } : {})
        }
      )
    assigned = assign(reading, code, reason: "as the table has it")
    expect(assigned["assigned"]).to include(
      "code" => code,
      "key" => key,
      "name" => be_a(String),
      "full_name" => be_a(String)
    )
  end

  def file(path)
    get path, {}, { "HTTP_HOST" => "127.0.0.1" }
    expect(last_response.status).to eq 200
    last_response.body
  end

  rows.each do |key, system, codes|
    it "by #{key} (#{system}): #{codes.join(', ')}" do
      profile = profile_with(*codes.each_index.map { |at| ["H#{at}", at * 4, (at * 4) + 4] }, key: key,
                             **(Grittle::TRIANGLES.key?(system) ? { system: system } : {}))
      profile.horizons.zip(codes, codes.rotate(codes.size / 2)).each do |horizon, *given|
        given.each do |code|
          texture(horizon, key, system, code)
        end
      end
      shown = api_get("/api/profiles/#{profile.id}")
      expect(last_response.status).to eq 200
      expect(shown["horizons"].map { |one| one["named"]["code"] }).to eq codes.rotate(codes.size / 2)
      expect(shown["horizons"].map { |one| one["readings"].map { |reading| reading["apart"] } }).to all(
        match([be_a(Integer), nil])
      )
      other = profile_with(["A", 0, codes.size * 4])
      texture(other.horizons.first, "ribbon_and_rub", "usda", "L")
      api_get("/api/profiles/#{profile.id}/beside/#{other.id}")
      expect(last_response.status).to eq 200

      book = JSON.parse(file("/api/export?format=json&of=profile&id=#{profile.id}"))
      expect(book["horizons"].map { |row| row["texture"] }).to eq(
        shown["horizons"].map { |one| one["named"]["full_name"] }
      )
      %w[pdf svg triangle package].each { |format| file("/api/export?format=#{format}&of=profile&id=#{profile.id}") }
      taken = Exchange::FieldbookImport.new(Exchange::Tables::ALL.to_h { |table| [table.name, book[table.name]] }, {})
      expect(taken.problems.to_a).to be_empty
      taken.take_in
      expect(Profile.last.horizons.map { |horizon| horizon.class_given.to_h }).to eq(
        profile.horizons.reload.map { |horizon| horizon.class_given.to_h }
      )
    end
  end
end
