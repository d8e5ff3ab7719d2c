# frozen_string_literal: true

require "openssl"
require "rqrcode"

module Routes
  # How phones get here.
  module Network
    COMMAND = "bin/start --lan"

    def self.registered(app)
      app.get("/api/network") { answer(Network.standing(env["grittle.alone"])) }

      app.get "/api/network/authority.crt" do
        halt 404 unless Reach.lan?
        halt(*Door.authority)
      end
    end

    # @return [Hash] schema Network
    def self.standing(alone)
      { open: Reach.lan?, alone: alone, command: COMMAND, weak: Account.open.weak.map(&:name),
        addresses: Reach.lan.map { |one| address(one) },
        authority: Reach.lan? ? authority : nil }
    end

    # Over TLS, and where the certificate is got from.
    def self.address(host)
      url = "https://#{host}:#{ENV.fetch('GRITTLE_TLS_PORT')}/"
      svg = RQRCode::QRCode.new(url, level: :m).as_svg(use_path: true, module_size: 8, offset: 16, fill: "ffffff")
      { url: url, plain: "http://#{host}:#{ENV.fetch('PORT')}/",
        qr: "data:image/svg+xml;base64,#{Base64.strict_encode64(svg)}" }
    end

    def self.authority
      found = OpenSSL::X509::Certificate.new(File.read(ENV.fetch("GRITTLE_AUTHORITY")))
      digest = OpenSSL::Digest::SHA256.hexdigest(found.to_der).upcase.scan(/../).join(":")
      { fingerprint: digest, ends_at: found.not_after.utc.iso8601 }
    end
    private_class_method :address, :authority
  end
end
