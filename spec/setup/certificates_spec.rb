# frozen_string_literal: true

require "openssl"
require "tmpdir"
require_relative "../../bin/support/certificates"

# Held against OpenSSL's own verification. [published: RFC 5280]
RSpec.describe Certificates do
  let(:dir) { Dir.mktmpdir }
  let(:store) { OpenSSL::X509::Store.new.tap { |store| store.add_file(made.authority_path) } }
  let(:leaf) { OpenSSL::X509::Certificate.new(File.read(made.certificate_path)) }
  let(:made) { described_class.new(dir: dir, addresses: ["192.168.1.20"], names: %w[localhost pit.local]) }

  before { made.renew }
  after { FileUtils.rm_rf(dir) }

  it "are of this machine's addresses and names, and trusted by who has the authority" do
    expect(store.verify(leaf)).to be true
    ["192.168.1.20", "127.0.0.1", "pit.local", "localhost"].each do |name|
      expect(OpenSSL::SSL.verify_certificate_identity(leaf, name)).to be(true), name
    end
    expect(OpenSSL::SSL.verify_certificate_identity(leaf, "elsewhere.example")).to be false
  end

  it "certify no other name, whoever has the authority's key" do
    key = OpenSSL::PKey.read(File.read(File.join(dir, "authority.key")))
    authority = OpenSSL::X509::Certificate.new(File.read(made.authority_path))
    forged = OpenSSL::X509::Certificate.new
    forged.version = 2
    forged.serial = 7
    forged.subject = OpenSSL::X509::Name.parse("/CN=elsewhere.example")
    forged.issuer = authority.subject
    forged.public_key = key
    forged.not_before = Time.now - 60
    forged.not_after = Time.now + 3600
    factory = OpenSSL::X509::ExtensionFactory.new(authority, forged)
    forged.add_extension(factory.create_extension("subjectAltName", "DNS:elsewhere.example"))
    forged.sign(key, "SHA256")
    expect(store.verify(forged)).to be false
    expect(store.error_string).to include("permitted subtree")
  end

  it "stay until they are about to end, or the machine has another address, and are renewed by the same authority" do
    expect(made.renew).to be_nil
    authority = File.read(made.authority_path)
    later = described_class.new(dir: dir, addresses: ["192.168.1.20"], names: %w[localhost pit.local],
                                now: Time.now + ((Certificates::DAYS - Certificates::BEFORE + 1) * Certificates::DAY))
    expect(later.renew).to eq made.certificate_path
    moved = described_class.new(dir: dir, addresses: ["10.0.0.7"], names: %w[localhost pit.local])
    expect(moved.renew).to eq made.certificate_path
    expect(File.read(made.authority_path)).to eq authority
  end

  it "lie where their owner alone reads them" do
    Dir.children(dir).each { |name| expect(format("%o", File.stat(File.join(dir, name)).mode & 0o777)).to eq "600" }
  end
end
