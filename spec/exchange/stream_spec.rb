# frozen_string_literal: true

require "socket"

RSpec.describe Exchange::Stream do
  let(:gate) { Gate.new("exports", most: 1) }

  # What a reader of the other end gets when the connection was handed over.
  def read_from(writer)
    ours, theirs = UNIXSocket.pair
    stream = described_class.new(writer, gate)
    thread = stream.handing_over("rack.hijack?" => true, "REQUEST_METHOD" => "GET").fetch("rack.hijack").call(ours)
    found = yield theirs
    thread.join
    found
  end

  def free? = gate.pass { true }

  it "sends a file over a connection that was handed to it, in chunks, and lets the next one in" do
    sent = read_from(%w[first second], &:read)
    expect(sent).to eq "5\r\nfirst\r\n6\r\nsecond\r\n0\r\n\r\n" # [published: RFC 9112, 7.1]
    expect(free?).to be true
  end

  it "leaves out the last chunk of a file that could not be finished" do
    broken = Enumerator.new do |pieces|
      pieces << "first"
      raise ArgumentError, "a mistake"
    end
    expect { expect(read_from(broken, &:read)).to eq "5\r\nfirst\r\n" }.to output(/a mistake/).to_stderr
    expect(free?).to be true
  end

  it "waits for no reader that takes nothing" do
    stub_const("Exchange::Stream::PATIENCE", 0.01)
    read_from(Enumerator.new { |pieces| 1000.times { pieces << ("x" * 10_000) } }) { |theirs| theirs.wait_readable(5) }
    expect(free?).to be true
  end

  it "keeps the connection with the server where it is not handed over" do
    stream = described_class.new(%w[first], gate)
    expect([{}, { "rack.hijack?" => true, "REQUEST_METHOD" => "HEAD" }].map { |env| stream.handing_over(env) }).to eq [
      {},
      {}
    ]
    expect(stream.to_enum.to_a).to eq %w[first]
    stream.close
    expect(free?).to be true
  end
end
