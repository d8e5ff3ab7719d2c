# frozen_string_literal: true

require "tmpdir"
require_relative "../../app/backup"
require_relative "../../db/demo_picture"

# One file out, and back, against MariaDB's own dump and client; what is damaged is refused before anything is touched.
RSpec.describe Backup, :commits do
  let(:dir) { Dir.mktmpdir }
  let(:path) { File.join(dir, "all.tar.gz") }
  let(:photo) { File.binread(File.expand_path("../../docs/screenshots/triangle.png", __dir__)) }

  after { FileUtils.rm_rf(dir) }

  def rows
    ActiveRecord::Base.connection.tables.to_h do |name|
      [name, ActiveRecord::Base.connection.select_rows("CHECKSUM TABLE #{name}").first.last]
    end
  end

  # Connections that were open know the tables of before.
  def restore(path)
    Backup::Restoring.new(path).run
  ensure
    ActiveRecord::Base.connection_handler.clear_all_connections!(:all)
    Database.connect
  end

  it "brings back every row and picture as they were, into what was changed since" do
    Demo.load
    picture = Photo.make(Profile.first, photo, name: "pit.png")
    before = rows
    list = described_class.write(path)
    expect(list).to include("schema" => Database.version, "rules_version" => Grittle::RULES_VERSION)
    expect(format("%o", File.stat(path).mode & 0o777)).to eq "600"
    Site.first.change(0, name: "Another name")
    later = Photo.make(Profile.first, File.binread(File.expand_path("../../docs/screenshots/section.png", __dir__)))
    FileUtils.rm_f(picture.path)
    restore(path)
    expect(rows).to eq before
    expect([picture, later].map { |one| File.exist?(one.path) }).to eq [true, false]
    expect(Site.first.profiles.first.update!(note: "still tied together")).to be true
  end

  {
    "cut short" => ->(bytes) { bytes[0, bytes.size * 2 / 3] },
    "changed in one bit" => lambda { |bytes|
      bytes.tap do
        bytes.setbyte(bytes.size / 2, bytes.getbyte(bytes.size / 2) ^ 1)
      end
    },
    "something else" => ->(_) { "no backup" },
    "empty" => ->(_) { "" }
  }.each do |what, damage|
    it "is refused when it is #{what}, and nothing is touched" do
      Site.make(name: "Here")
      described_class.write(path)
      File.binwrite(path, damage.call(File.binread(path)))
      before = rows
      expect { restore(path) }.to raise_error(Backup::Refused, /damaged|Nothing was touched/)
      expect(rows).to eq before
    end
  end

  it "is refused when a newer Grittle wrote it, and kept under its own name until it is whole" do
    allow(Database).to receive(:version).and_return(99_999_999_999_999)
    described_class.write(path)
    expect { restore(path) }.to raise_error(Backup::Refused, /newer Grittle/)
    expect(Dir.children(dir)).to eq ["all.tar.gz"]
  end
end
