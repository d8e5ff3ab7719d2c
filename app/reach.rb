# frozen_string_literal: true

require "fileutils"
require "openssl"
require "securerandom"
require "active_support"
require "active_support/message_verifier"

# From where Grittle is reached, as the environment says, and the secret that its cookies are signed with.
module Reach
  LOOPBACK = ["127.0.0.1", "localhost", "[::1]"].freeze
  FIRST_WORD_IN = "var/files/secrets/first-account"

  module_function

  # Names and addresses in the Host header that are answered; another could be a page elsewhere that resolves to here.
  # @return [Array<String>]
  def hosts = LOOPBACK + ENV.fetch("GRITTLE_HOSTS", "").split(",").map(&:strip).reject(&:empty?)

  # @return [Boolean] whether others than this machine reach it, so that nobody works alone without a password
  def network? = ENV["GRITTLE_NETWORK"] == "1"

  # @return [Boolean] whether phones of the local network reach it over TLS
  def lan? = !ENV.fetch("GRITTLE_LAN", "").empty?

  # @return [Array<String>] addresses on the local network
  def lan = ENV.fetch("GRITTLE_LAN", "").split(",")

  # @param host [String, nil] by which it was asked for
  # @return [String] where it is over TLS
  def lan_address(host = nil)
    name = host.to_s[/\A[A-Za-z0-9.-]+/]
    "https://#{hosts.include?(name) ? name : lan.first}:#{ENV.fetch('GRITTLE_TLS_PORT')}/"
  end

  # @return [Boolean] whether a reverse proxy stands in front, whose word on the scheme and the address counts
  def behind_proxy? = ENV["GRITTLE_BEHIND_PROXY"] == "1"

  # @param env [Hash] of a request
  # @return [Boolean]
  def tls?(env)
    env["rack.url_scheme"] == "https" || (behind_proxy? && env["HTTP_X_FORWARDED_PROTO"] == "https")
  end

  # @return [String] of this application, as the browser writes it in the Origin header
  def origin(env) = "#{tls?(env) ? 'https' : 'http'}://#{env['HTTP_HOST']}"

  # The last proxy's word: what stands before it anybody can write.
  # @return [String] address of who asks
  def address(env)
    forwarded = env["HTTP_X_FORWARDED_FOR"].to_s.split(",").last if behind_proxy?
    (forwarded || env["REMOTE_ADDR"]).to_s.strip
  end

  # @return [ActiveSupport::MessageVerifier] signs what the browser keeps
  def signer = @signer ||= ActiveSupport::MessageVerifier.new(secret, digest: "SHA256", serializer: JSON)

  # @param address [String]
  # @return [Boolean] whether it is of this machine
  def loopback?(address) = address.to_s.match?(/\A(127\.|::1\z|::ffff:127\.)/)

  # @return [Boolean] whether one person works on this machine without an account, which a network does not allow
  def alone? = !network? && Account.alone?

  # @return [String, nil] why nobody is let in from a network: somebody could come in without knowing anything
  def shut
    weak = Account.open.weak.order(:id).to_a
    if weak.any?
      names = weak.map(&:name).join(", ")
      "#{names}, of the demo, can come in without a password. Set one for each, or close them: " \
        "bin/account password #{weak.first.login}, bin/account close #{weak.last.login}."
    elsif lan? && Account.alone?
      "nobody has an account yet. Make yours first: on the page “Members”, or with bin/account add."
    end
  end

  # Given by the environment, else made at the first run and kept where its owner alone reads it.
  # @return [String]
  def secret = ENV.fetch("GRITTLE_SECRET", nil).presence || kept("session") { SecureRandom.hex(64) }

  # The word that whoever makes the first account over a network has to know; the log says where it lies.
  # @return [String]
  def first_word = kept("first-account") { SecureRandom.hex(6) }

  # @return [String] path of the file
  def place(name) = File.join(Files::ROOT, "secrets", name)

  # Of several processes that make it at once, the first one's stands.
  def kept(name)
    path = place(name)
    FileUtils.mkdir_p(File.dirname(path), mode: 0o700)
    File.open(path, File::WRONLY | File::CREAT | File::EXCL, 0o600) { |file| file.write(yield) }
    File.read(path)
  rescue Errno::EEXIST
    Timeout.timeout(5) { sleep 0.01 until File.size?(path) }
    File.read(path)
  end
end
