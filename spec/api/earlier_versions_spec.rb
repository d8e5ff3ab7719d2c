# frozen_string_literal: true

# What earlier versions wrote and kept is still read, with every class as it was.
RSpec.describe "what earlier versions left" do
  it "takes in the package of 2026.11.5, with a reading by every key" do
    format, book =
      Exchange::ImportFile.call(
        File.binread(File.expand_path("../fixtures/package-2026.11.5.zip", __dir__)),
        "fieldbook.zip"
      )
    expect([format, book.problems.to_a]).to eq ["package", []]
    book.take_in
    keys = Profile.find_by!(name: "Keys 1").horizons.map { |horizon| horizon.class_given.to_h.values_at("key", "code") }
    expect(keys).to eq [
      %w[ribbon_and_rub CL],
      %w[field_grades LMC],
      %w[sand_first HC],
      %w[rolling SL/poor],
      %w[two_numbers SICL],
      %w[texture_groups medium],
      %w[length_alone sandy]
    ]
    expect(Profile.find_by!(name: "Tare 1").horizons.map { |horizon| horizon.class_given.code }).to eq %w[L SL C CL SCL]
    corrected = Ribbon.where.not(corrects_id: nil).first
    expect([corrected.entered_at, corrected.made_at]).to eq [
      corrected.corrects.taken_back_at,
      corrected.corrects.made_at
    ]
    expect(Reading.where(classed: true).count).to eq Assignment.distinct.count(:reading_id)
  end

  # The tables as that version had them, filled, then brought up to date.
  it "migrates a database of 2026.11.5 with every reading's class unchanged", :commits do
    before = 20_261_125_000_004
    context = ActiveRecord::MigrationContext.new(Database::MIGRATIONS)
    classes = lambda do |columns|
      ActiveRecord::Base.connection.select_rows("SELECT reading_id, #{columns}, code FROM assignments ORDER BY id")
    end
    ActiveRecord::Migration.verbose = false
    context.down(before)
    File
      .read(File.expand_path("../fixtures/database-2026.11.5.sql", __dir__))
      .split(";\n")
      .each { |sql| ActiveRecord::Base.connection.execute(sql) }
    was = classes["JSON_VALUE(result, '$.key'), JSON_VALUE(result, '$.system')"]
    context.up
    ActiveRecord::Base.descendants.each(&:reset_column_information)
    expect(classes["`key`, `system`"]).to eq was
    expect(was.size).to be > 10
    expect(Reading.where(classed: true).pluck(:id).sort).to eq was.map(&:first).uniq.sort
    expect(Ribbon.where(entered_at: nil)).to be_empty
    SearchTerm.catch_up
    expect(Profile.find_by!(name: "Keys 1").horizons.map do |horizon|
      horizon.class_given.code
    end).to eq %w[CL LMC HC SL/poor SICL medium sandy]
  ensure
    context.up
    ActiveRecord::Base.descendants.each(&:reset_column_information)
  end
end
