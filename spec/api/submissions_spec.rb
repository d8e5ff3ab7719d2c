# frozen_string_literal: true

require "pdf/reader"
require_relative "../support/stand_in"

# Bags to a laboratory and back, over its service with the faults it can have, and on paper.
RSpec.describe "submissions over the API" do
  let!(:profile) { profile_with(["A", 0, 20], ["B", 20, 60]) }
  let!(:bags) do
    Sample.make(profile, [["P-01", 10], ["P-02", 25], ["P-03", 40]].map do |label, cm|
      { kind: "bag", label: label, upper_cm: cm }
    end)
  end

  def send_bags(way: "service", samples: bags)
    api_post("/api/submissions", { samples: samples.map(&:id), laboratory: "Invented laboratory", analysis: "pipette",
                                   way: way, sent_by: "Wren" })
  end

  def ask(sent) = api_post("/api/submissions/#{sent['id']}/ask", {})

  it "sends bags by the service, asks after them, and imports what comes back beside the hand" do
    reading = api_post("/api/readings", { sample_id: bags[0].id })
    assign(push(give(reading, ball_holds: true, wet_rub: "neither"), 41, 44, 39), "CL")
    expect(api_get("/api/submissions")["waiting"].map { |one| one["label"] }).to eq %w[P-01 P-02 P-03]
    laboratory("--seconds", "0.2") do
      sent = send_bags
      expect(sent).to include("state" => "queued", "bags" => 3)
      expect(ask(sent)).to include("state" => "received", "number" => match(/\AS\h{8}\z/i), "trouble" => nil)
      back = until_state(sent, "imported")
      expect(back["contents"].map { |bag| bag["result"] }).to all include("clay")
      expect(back["contents"][0]["beside"]).to include("where")
      expect(api_get("/api/submissions")["waiting"]).to eq []
    end
  end

  # Asks until it stands so; the stand-in takes part of a second.
  def until_state(sent, state)
    50.times do
      found = ask(sent)
      return found if found["state"] == state

      IO.select(nil, nil, nil, 0.05)
    end
    raise "never #{state}"
  end

  it "waits longer after each failure, goes on after a restart, and is one submission however often it is sent" do
    sent = send_bags
    ENV["GRITTLE_LABORATORY"] = "http://127.0.0.1:#{free_port}" # nobody there
    waits = Array.new(3) do
      ask(sent)
      Submission.find(sent["id"]).then { |one| (one.next_at - Time.now.utc).round }
    end
    expect(waits).to eq [5, 10, 20]
    expect(api_get("/api/submissions/#{sent['id']}")).to include("state" => "queued", "tries" => 3,
                                                                 "trouble" => "The laboratory cannot be reached.")
    laboratory("--seconds", "60") do
      # What the queue of another process finds in the database.
      Laboratory::Queue.new.work(Time.now.utc + 60)
      number = Submission.find(sent["id"]).number
      expect(number).not_to be_nil
      Submission.find(sent["id"]).unknown
      expect(ask(sent)).to include("number" => number, "state" => "received")
    end
  ensure
    ENV.delete("GRITTLE_LABORATORY")
  end

  it "gives up waiting for a late answer, and tries again" do
    stub_const("Laboratory::Service::READ", 0.3)
    laboratory("--fault", "late=1") do
      sent = send_bags
      expect(ask(sent)).to include("state" => "queued", "trouble" => "The laboratory cannot be reached.")
      expect(ask(sent)).to include("state" => "received", "tries" => 0)
    end
  end

  it "holds a report with what does not fit, row by row, and imports the rest when a person says so" do
    laboratory("--seconds", "0", "--fault", "sum=0.5,unknown=0.5,little=0.3") do
      more = Sample.make(profile, Array.new(20) { |at| { kind: "bag", label: "Q#{at}", upper_cm: at } })
      sent = send_bags(samples: more)
      ask(sent)
      held = until_state(sent, "held")
      expect(held["problems"].join(" ")).to match(/There is no sample labelled “Q\d+-X”/).and match(/add up to 10[2-5]/)
      expect(LaboratoryResult.count).to eq 0 # all or nothing
      kept = api_post("/api/submissions/#{sent['id']}/results", { skip: true })
      expect(kept).to include("state" => "imported")
      expect(LaboratoryResult.count).to be_between(1, 19)
      expect(kept["problems"]).to include(include("no result. too little material"))
    end
  end

  it "keeps the results of before when the laboratory corrects its report" do
    laboratory("--seconds", "0.1", "--fault", "revised=1") do
      sent = send_bags
      ask(sent)
      until_state(sent, "imported")
      40.times { break if LaboratoryResult.count == 6 || (ask(sent) && IO.select(nil, nil, nil, 0.05)) }
      expect(LaboratoryResult.where(submission_id: sent["id"]).group(:sample_id).count.values).to eq [2, 2, 2]
      expect(LaboratoryResult.last.remark).to eq "corrected report"
    end
  end

  it "goes on paper with a custody sheet, and takes the table that comes back" do
    sent = send_bags(way: "paper")
    expect(ask(sent)["detail"]).to include("nothing to ask")
    get "/api/submissions/#{sent['id']}/custody.pdf", {}, "HTTP_HOST" => "127.0.0.1"
    text = PDF::Reader.new(StringIO.new(last_response.body)).pages.map(&:text).join
    expect(text).to include("Chain of custody", "P-02", "25 cm", "Slope 1", "Sent by: Wren", "pipette")
    back = api_post("/api/submissions/#{sent['id']}/results",
                    { csv: "sample,sand,silt,clay\np1,30,40,30\np2,20,40,40\np 03,,, \n" })
    expect(back["problems"].join).to include("no sample labelled “p1”")
    back = api_post("/api/submissions/#{sent['id']}/results",
                    { csv: "sample,sand,silt,clay,remark\np-1,30,40,30,\nP-002,20,40,40,\np - 03,-,-,-,lost\n" })
    expect(back).to include("state" => "imported", "problems" => ["p - 03: no result. lost"])
  end

  it "holds a table that leaves a date open, instead of guessing it" do
    sent = send_bags(way: "paper")
    csv = "sample,sand,silt,clay,date\np-1,30,40,30,03.04.2026\n"
    held = api_post("/api/submissions/#{sent['id']}/results", { csv: csv })
    expect(held).to include("state" => "held", "problems" => ["Table: Is 03.04.2026 day first or month first?"])
    sure = api_post("/api/submissions/#{sent['id']}/results", { csv: csv.sub("03.04.2026", "2026-04-03") })
    expect(sure["state"]).to eq "imported"
  end

  {
    "no bags" => [[], "Choose the bags to send."],
    "a bag without a label" => [[nil], /a bag needs a label/],
    "two bags with one label" => [%w[X x], /Two bags are labelled/]
  }.each do |what, (labels, sentence)|
    it "refuses #{what}" do
      made = Sample.make(profile, labels.map { |label| { kind: "bag", label: label, upper_cm: 5 } })
      expect(send_bags(samples: made)).to be_refused(422, "/samples", sentence)
    end
  end

  it "asks what a table leaves open, and imports it once that is said" do
    csv = "label;clay;silt;sand;date;method\nP-01;30;40;30;03.04.2026;pipette\np1;32;40;28;03.04.2026;pipette\n"
    asked = api_post("/api/laboratory-results", { name: "a.csv", csv: csv.sub("p1", "P 01").sub("P 01", "p-1") })
    expect(asked["questions"].map { |one| one["name"] }).to contain_exactly("date_order", "duplicates")
    expect(LaboratoryResult.count).to eq 0
    kept = api_post("/api/laboratory-results", { name: "a.csv", csv: csv.sub("p1", "p-1"), date_order: "dmy",
                                                 duplicates: "mean" })
    expect(kept).to include("kept" => 1, "questions" => [])
    result = LaboratoryResult.last
    expect([result.read.percents["clay"], result.reported_on, result.remark])
      .to eq [31.0, "2026-04-03", "Mean of 30/40/30 and 28/40/32."]
    expect(result.read.sds["clay"]).to be_within(0.01).of((1 + (0.02 * 31)) / Math.sqrt(2))
  end
end
