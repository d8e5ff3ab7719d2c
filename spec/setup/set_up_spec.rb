# frozen_string_literal: true

require "open3"
require "socket"
require "tmpdir"
require_relative "../../bin/support/debian_packages"
require_relative "../../bin/support/gems"
require_relative "../../bin/support/maria_db"
require_relative "../../bin/support/options"
require_relative "../../bin/support/page"
require_relative "../../db/prepare"

RSpec.describe "Set-up" do
  describe "what went wrong, in a sentence" do
    {
      "write error: No space left on device" => /disk is full/,
      "npm error code ENOSPC" => /disk is full/,
      "E: Could not get lock /var/lib/dpkg/lock-frontend" => /Another program is installing Debian packages/,
      "Could not reach host gems.invalid. Check your network" => /could not be downloaded/,
      "npm error code EAI_AGAIN" => /could not be downloaded/,
      "Temporary failure resolving the mirror" => /could not be downloaded/
    }.each do |output, sentence|
      it("reads it from #{output.inspect}") { expect(Shell.cause(output)).to match sentence }
    end

    it "points to the log where nothing better is known" do
      expect do
        Shell.run!("a trial", "ruby", "-e", "abort 'odd'")
      end.to raise_error(Stop, %r{Setting up a trial failed. Details: var/log/a-trial.log})
    end

    it "ends in one sentence and status 1, without a stack trace" do
      script = "require '#{Place.at('bin/support/place')}'; in_one_sentence { raise Errno::ENOSPC }"
      out, err, status = Open3.capture3("ruby", "-e", script)
      expect([out, err, status.exitstatus]).to eq [
        "",
        "grittle: The disk is full. Free some space and run the command again; nothing was harmed.\n",
        1
      ]
    end
  end

  describe "bin/start" do
    {
      %w[--port 8080 --empty] => { port: 8080, empty: true, lan: false },
      [] => { port: 4600, empty: false, lan: false, backup_every: nil },
      %w[--lan --tls-port 9443 --backup-every 12] => { lan: true, tls_port: 9443, backup_every: 12.0 }
    }.each do |arguments, options|
      it("takes #{arguments}") { expect(StartOptions.parse(arguments)).to include options }
    end

    {
      %w[--port x] => /Invalid argument/,
      %w[--port 70000] => /from 1 to 65535, not 70000/,
      %w[--lan --tls-port 4600] => /are two/,
      %w[--backup-every 0] => /every 0.1 hours at most/,
      %w[--fast] => /Usage: bin.start/
    }.each do |arguments, sentence|
      it("refuses #{arguments}") { expect { StartOptions.parse(arguments) }.to raise_error(Stop, sentence) }
    end

    it "names a busy port and another, before it touches anything" do
      TCPServer.open("127.0.0.1", 0) do |taken|
        port = taken.addr[1]
        _, err, status = Open3.capture3("ruby", Place.at("bin/start"), "--port", port.to_s)
        expect(
          err
        ).to eq "grittle: Port #{port} is used by another program. Choose another: bin/start --port #{port + 1}\n"
        expect(status.exitstatus).to eq 1
      end
    end

    it "leaves a database alone that a newer Grittle made" do
      ActiveRecord::Base.connection_pool.schema_migration.create_version("20991231000000")
      expect { Prepare.run }.to raise_error(Prepare::Refused, /made by a newer Grittle/)
      expect(Site.count).to eq 0
    ensure
      ActiveRecord::Base.connection_pool.schema_migration.delete_version("20991231000000")
    end

    it "fills an empty database with the demo, unless told not to, and never a second time" do
      Prepare.run(demo: false)
      expect(Site.count).to eq 0
      2.times { Prepare.run }
      expect(Site.order(:id).pluck(:name)).to eq ["High Tare", "Sallow Bottom", "Kiln Bank"]
    end
  end

  describe "a stamp" do
    it "runs what it guards again only when the files have changed" do
      Dir.mktmpdir do |dir|
        file = File.join(dir, "lock")
        runs = 0
        guarded = -> { Stamp.unless_same("spec", [dir]) { runs += 1 } }
        File.write(file, "one")
        2.times { guarded.call }
        File.write(file, "two")
        2.times { guarded.call }
        expect(runs).to eq 2
      end
    ensure
      FileUtils.rm_f(Place.at("var/stamps/spec"))
    end
  end

  describe "the database server" do
    let(:server) { MariaDb.new("spec", fleeting: false) }
    let(:folder) { Place.at("var/spec") }

    after do
      server.stop
      FileUtils.rm_rf(folder)
    end

    def query(sql)
      out, status =
        Open3.capture2e(
          "mariadb",
          "--no-defaults",
          "--socket=#{folder}/server.sock",
          "-u",
          "root",
          "-N",
          "grittle_spec",
          "-e",
          sql
        )
      raise out unless status.success?

      out.strip
    end

    it "keeps what was saved through kill -9, a lost password file, and is reached from this machine only" do
      server.start
      query("create table kept (n int); insert into kept values (42)")
      Process.kill("KILL", File.read("#{folder}/server.pid").to_i)
      Timeout.timeout(10) { Thread.pass while server.running? }
      File.write("#{folder}/settings.json", '{"password":"half')
      expect { MariaDb.new("spec").start }.to raise_error(Stop, /settings\.json is damaged\. Remove it/)
      FileUtils.rm("#{folder}/settings.json")
      again = MariaDb.new("spec")
      again.start
      expect(query("select n from kept")).to eq "42"
      port = again.url[%r{:(\d+)/}, 1]
      outside = Socket.ip_address_list.find { |address| address.ipv4? && !address.ipv4_loopback? }
      if outside
        expect { TCPSocket.new(outside.ip_address, port, connect_timeout: 2).close }.to raise_error(
          SystemCallError
        )
      end
      expect { TCPSocket.new("127.0.0.1", port).close }.not_to raise_error
    end

    it "takes over a server that was left running, and moves from a port that is taken" do
      server.start
      pid = File.read("#{folder}/server.pid")
      MariaDb.new("spec").start
      expect(File.read("#{folder}/server.pid")).to eq pid
      server.stop
      TCPServer.open("127.0.0.1", server.url[%r{:(\d+)/}, 1].to_i) do
        expect(MariaDb.new("spec").start.url).not_to eq server.url
      end
    end
  end

  it "names no registry's host in anything that is kept" do
    hosts = [Gem.sources.first.uri.host, `npm config get registry 2>/dev/null`[%r{//([^/:]+)}, 1]].compact
    kept =
      Dir
      .chdir(Place::ROOT) { `git ls-files --cached --others --exclude-standard`.lines(chomp: true) }
      .select { |file| File.file?(Place.at(file)) }
    naming = kept.select { |file| hosts.any? { |host| File.binread(Place.at(file)).include?(host) } }
    expect(naming).to be_empty
    expect(File.read(Place.at("Gemfile.lock"))).to include "remote: https://gems.invalid/"
  end
end
