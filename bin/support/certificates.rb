# frozen_string_literal: true

require "fileutils"
require "ipaddr"
require "openssl"
require "socket"
require_relative "place"

# A local authority, and the certificate by which phones on this network reach this machine over TLS. Both are made at
# the first run and renewed by themselves; their keys never leave var/tls.
class Certificates
  DIR = File.join(Place::VAR, "tls")
  CURVE = "prime256v1"
  DAY = 24 * 3600
  # What browsers take at most of an authority that a person has added: 825 days. [from memory: Apple's requirements for
  # trusted certificates] Shorter, so that a lost key is of no use for long. [our own]
  DAYS = 180
  AUTHORITY_DAYS = 3650
  # Renewed so many days before it ends.
  BEFORE = 30
  # Nothing but local names and addresses can be certified by it, whoever gets hold of its key. [published: RFC 1918,
  # RFC 3927, RFC 6598, RFC 6762]
  NETWORKS = %w[10.0.0.0/255.0.0.0 172.16.0.0/255.240.0.0 192.168.0.0/255.255.0.0 169.254.0.0/255.255.0.0
                100.64.0.0/255.192.0.0 127.0.0.0/255.0.0.0].freeze

  # @return [Array<String>] addresses of this machine that others on its networks reach
  def self.addresses
    Socket.ip_address_list.select { |one| one.ipv4? && !one.ipv4_loopback? && !one.ipv4_multicast? }.map(&:ip_address)
  end

  # @return [Array<String>] its names
  def self.names
    own = Socket.gethostname.downcase[/\A[a-z0-9-]+/]
    ["localhost", *([own, "#{own}.local"] if own)].uniq
  end

  # @param dir [String]
  # @param now [Time]
  def initialize(dir: DIR, addresses: self.class.addresses, names: self.class.names, now: Time.now)
    @dir = dir
    @addresses = ["127.0.0.1", *addresses]
    @names = names
    @now = now
  end

  # Makes what is missing, about to end, or of another network.
  # @return [String, nil] path of the certificate where it is another now
  def renew
    FileUtils.mkdir_p(@dir, mode: 0o700)
    make_authority unless authority_holds?
    return if holds?

    make_certificate
    certificate_path
  end

  # @return [String] paths
  def authority_path = File.join(@dir, "authority.crt")
  def certificate_path = File.join(@dir, "grittle.crt")
  def key_path = File.join(@dir, "grittle.key")

  # @return [Boolean] whether the certificate is of these addresses and names, and not about to end
  def holds?
    found = read(certificate_path) or return false
    long_enough?(found) && File.exist?(key_path) && found.verify(read(authority_path).public_key) &&
      (wanted - names_in(found)).empty?
  end

  private

  def authority_holds?
    found = read(authority_path) or return false
    long_enough?(found) && File.exist?(authority_key_path) && @addresses.all? { |one| permitted?(found, one) }
  end

  def long_enough?(certificate) = certificate.not_after > @now + (BEFORE * DAY)
  def authority_key_path = File.join(@dir, "authority.key")

  def read(path)
    OpenSSL::X509::Certificate.new(File.read(path))
  rescue Errno::ENOENT, OpenSSL::X509::CertificateError
    nil
  end

  def wanted = [*@names.map { |name| "DNS:#{name}" }, *@addresses.map { |address| "IP:#{address}" }]

  def names_in(certificate)
    said = certificate.extensions.find { |one| one.oid == "subjectAltName" }&.value.to_s
    said.split(", ").map { |one| one.sub("IP Address:", "IP:") }
  end

  def permitted?(authority, address)
    said = authority.extensions.find { |one| one.oid == "nameConstraints" }&.value.to_s
    said.scan(%r{IP:([\d.]+)/([\d.]+)}).any? { |network, mask| IPAddr.new("#{network}/#{mask}").include?(address) }
  end

  def make_authority
    key = OpenSSL::PKey::EC.generate(CURVE)
    made = certificate("Grittle on #{@names.last}, local authority", key, AUTHORITY_DAYS)
    made.issuer = made.subject
    add(made, made, "basicConstraints" => ["CA:TRUE,pathlen:0", true], "keyUsage" => ["keyCertSign,cRLSign", true],
                    "nameConstraints" => [constraints, true], "subjectKeyIdentifier" => ["hash", false])
    made.sign(key, "SHA256")
    write(authority_key_path, key.to_pem)
    write(authority_path, made.to_pem)
  end

  # @return [String] as OpenSSL writes them; an address outside of the private networks by itself
  def constraints
    own = @addresses.reject { |one| NETWORKS.any? { |network| IPAddr.new(network).include?(one) } }
    allowed = [*NETWORKS, *own.map { |one| "#{one}/255.255.255.255" }].map { |network| "permitted;IP:#{network}" }
    [*allowed, *["local", *@names].uniq.map { |name| "permitted;DNS:#{name}" }].join(",")
  end

  def make_certificate
    authority = read(authority_path)
    key = OpenSSL::PKey::EC.generate(CURVE)
    made = certificate("Grittle on #{@names.last}", key, DAYS)
    made.issuer = authority.subject
    add(made, authority, "basicConstraints" => ["CA:FALSE", true], "keyUsage" => ["digitalSignature", true],
                         "extendedKeyUsage" => ["serverAuth", false], "subjectAltName" => [wanted.join(","), false])
    made.sign(OpenSSL::PKey.read(File.read(authority_key_path)), "SHA256")
    write(key_path, key.to_pem)
    write(certificate_path, made.to_pem + authority.to_pem)
  end

  def certificate(name, key, days)
    made = OpenSSL::X509::Certificate.new
    made.version = 2 # the third
    made.serial = OpenSSL::BN.rand(120)
    made.subject = OpenSSL::X509::Name.new([["CN", name[0, 64], OpenSSL::ASN1::UTF8STRING]])
    made.public_key = key
    made.not_before = @now - DAY # a phone's clock may be behind
    made.not_after = @now + (days * DAY)
    made
  end

  def add(made, issuer, extensions)
    factory = OpenSSL::X509::ExtensionFactory.new(issuer, made)
    extensions.each do |name, (value, critical)|
      made.add_extension(factory.create_extension(name, value, critical))
    end
  end

  def write(path, text)
    File.write("#{path}.new", text, perm: 0o600)
    File.rename("#{path}.new", path)
  end
end
