# frozen_string_literal: true

require_relative "page_core"
require_relative "../../app/mirror"

# The same requests to the server and to a device that was given its fieldbook, and where their answers differ.
class TwoSides
  OWN = 4_503_599_627_370_496
  MOMENT = /\A\d{4}-\d\d-\d\dT\d\d:\d\d:\d\d(\.\d+)?Z\z/
  # A time of a day is not compared, nor a version of the rules by which it was looked for.
  CLOCK = /\d\d:\d\d:\d\d/

  attr_reader :differences

  # @param member [Membership, nil] who is signed in on both sides; nobody, who works alone
  def initialize(spec, member = nil)
    @spec = spec
    @member = member
    @differences = []
    @server = {}
    @device = {}
    @numbers = {}
  end

  # @param steps [Array<Array>] verb, path, body, and the name its answer is kept under
  # @param known [Hash{String=>Object}] what may be spoken of as if it had been answered
  def run(steps, known = {})
    @server.merge!(known)
    @device.merge!(known)
    PageCore.open do |core|
      @core = core
      TwoSides.lay(core)
      steps.each { |step| ask(*step) }
    end
  end

  # Gives a device the fieldbook as it stands.
  def self.lay(core)
    mirror = JSON.parse(JSON.generate(Mirror.new(Fieldbook.current).to_h))
    core.ask("load", mirror["columns"], rows(mirror))
  end

  # @return [Hash{String=>Array<Hash>}] rows by table, as the device takes them
  def self.rows(mirror)
    mirror["rows"].to_h do |table, rows|
      names = mirror["columns"][table].map(&:first)
      [table, rows.map { |row| names.zip(row).to_h }]
    end
  end

  # @return [String] a UUID of version 7
  def self.key
    time = (Time.now.to_f * 1000).to_i.to_s(16).rjust(12, "0")
    tail = SecureRandom.hex(9)
    "#{time[0, 8]}-#{time[8, 4]}-7#{tail[0, 3]}-8#{tail[3, 3]}-#{tail[6, 12]}"
  end

  private

  def ask(verb, path, body = nil, name = nil)
    key = TwoSides.key
    status, answer = of_server(verb, filled(path, @server), filled(body, @server), key)
    there = of_device(verb, filled(path, @device), filled(body, @device), key)
    where = "#{verb} #{filled(path, @server)}"
    return @differences << "#{where}: the device does not answer" unless there

    @differences << "#{where}: #{status}, on the device #{there['status']}" unless status == there["status"]
    compare(answer, there["body"], where)
    return if status >= 400

    @server[name] = answer
    @device[name] = there["body"]
  end

  # {name.part.0} stands for a part of an answer before.
  def filled(value, answers)
    case value
    when Hash then value.transform_values { |one| filled(one, answers) }
    when Array then value.map { |one| filled(one, answers) }
    when /\A\{([^{}]+)\}\z/ then part(::Regexp.last_match(1), answers)
    when String then value.gsub(/\{([^{}]+)\}/) { part(::Regexp.last_match(1), answers) }
    else value
    end
  end

  def part(path, answers)
    path.split(".").reduce(answers) { |found, name| found.is_a?(Array) ? found[name.to_i] : found.fetch(name) }
  end

  def of_server(verb, path, body, key)
    answer = @spec.public_send(:"api_#{verb.downcase}", path, body, key: key)
    [@spec.last_response.status, answer]
  end

  def of_device(verb, path, body, key)
    place, query = path.split("?", 2)
    @core.ask("request", { "method" => verb, "path" => place, "query" => URI.decode_www_form(query.to_s).to_h,
                           "body" => body && JSON.parse(JSON.generate(body)), "key" => key,
                           "person" => @member&.observer_id, "role" => @member ? @member.role : "lead" })
  rescue RuntimeError => e
    { "status" => 500, "body" => { "detail" => e.message } }
  end

  def compare(server, device, where)
    return if alike?(server, device)

    if server.is_a?(Hash) && device.is_a?(Hash) && server.keys.sort == device.keys.sort
      server.each { |name, value| compare(value, device[name], "#{where} /#{name}") }
    elsif server.is_a?(Array) && device.is_a?(Array) && server.size == device.size
      server.each_with_index { |value, at| compare(value, device[at], "#{where} /#{at}") }
    elsif server.is_a?(Hash) && device.is_a?(Hash)
      @differences << "#{where}: only #{server.keys - device.keys}, only on the device #{device.keys - server.keys}"
    else
      @differences << "#{where}: #{server.inspect[0, 120]}, on the device #{device.inspect[0, 120]}"
    end
  end

  def alike?(server, device)
    case server
    when Integer then server == device || stands_for?(device, server)
    when Float then device.is_a?(Numeric) && (server - device).abs <= 1e-9
    when MOMENT then device.to_s.match?(MOMENT)
    when String then device.is_a?(String) && text(server) == text(device)
    when Hash, Array then false
    else server == device
    end
  end

  # One number of the device stands for one of the server.
  def stands_for?(device, server) = device.is_a?(Integer) && device >= OWN && (@numbers[device] ||= server) == server

  # Numbers of the device in an address stand for those of the server.
  def text(value) = value.gsub(CLOCK, "").gsub(/\d{16}/) { |number| (@numbers[number.to_i] || number).to_s }
end
