# frozen_string_literal: true

# Imports under way: who is named, the queue, and what a restart and a cancel leave. The queue has connections of its
# own and sees only what is committed.
RSpec.describe "an import under way", :commits do
  let(:book) do
    profile = profile_with(["A", 0, 20], textured_by: "Wren")
    Reading.make(horizon: profile.horizons.first)
    get "/api/export?format=json&of=fieldbook", {}, "HTTP_HOST" => "127.0.0.1"
    last_response.body
  end
  let(:queue) { Exchange::ImportQueue.new }

  def send_in(bytes, name)
    headers = { "HTTP_IDEMPOTENCY_KEY" => SecureRandom.uuid, "HTTP_HOST" => "127.0.0.1",
                "CONTENT_TYPE" => "application/octet-stream" }
    JSON.parse(post("/api/imports?name=#{name}", bytes, headers).body)
  end

  def now(sent) = api_get("/api/imports/#{sent['id']}")
  def run(sent) = api_post("/api/imports/#{sent['id']}/run", {})

  it "waits for its turn, and is taken in once, by whichever process" do
    sent = send_in(book, "book.json")
    expect(run(sent)["state"]).to eq "queued"
    expect(run(sent)).to be_refused(422, nil, /already/)
    expect(queue.work.state).to eq "done"
    expect(queue.work).to be_nil
    expect(now(sent)).to include("state" => "done", "done" => sent["total"])
    expect([Site.count, FileImport.count]).to eq [2, 1]
  end

  it "is begun again where the process that had it is gone, and leaves nothing twice" do
    sent = send_in(book, "book.json")
    run(sent)
    job = ImportJob.last
    expect(job.claim).to eq job
    expect(job.claim).to be_nil
    expect(queue.work).to be_nil # its process gives signs of life
    job.update!(beat_at: (ImportJob::GONE_AFTER + 1).seconds.ago)
    expect(queue.work.state).to eq "done"
    expect([now(sent)["state"], Site.count]).to eq ["done", 2]
  end

  it "is given up when it has ended three processes" do
    sent = send_in(book, "book.json")
    run(sent)
    ImportJob.update_all(tries: ImportJob::MOST_TRIES)
    queue.work
    expect(now(sent)).to include("state" => "failed", "failure" => /could not be imported/)
  end

  it "is stopped by a cancel, before its turn or in the middle, and nothing of it stays" do
    before, during = Array.new(2) { send_in(book, "book.json") }
    [before, during].each { |sent| run(sent) }
    expect(api_post("/api/imports/#{before['id']}/cancel", {})["state"]).to eq "cancelled"
    import = Exchange::Import.of(ImportJob.find_by(token: during["id"]).tap(&:claim))
    api_post("/api/imports/#{during['id']}/cancel", {})
    import.stop if import.job.cancelled?
    import.take_in
    expect([now(during)["state"], Site.count, FileImport.count]).to eq ["cancelled", 1, 0]
    expect(api_post("/api/imports/#{during['id']}/cancel", {})).to be_refused(422, nil, /over already/)
  end

  it "asks who of the file is whom: the same by the name, or another" do
    sent = send_in(book, "book.json")
    expect(sent["people"]).to eq [{ "name" => "Wren", "known" => true, "other" => false }]
    path = "/api/imports/#{sent['id']}/people"
    expect(api_put(path, { others: ["Odd"] })).to be_refused(422, nil, /nobody called Odd/)
    expect(api_put(path, { others: ["Wren"] })["people"].first).to include("other" => true)
    run(sent)
    queue.work
    expect(Observer.pluck(:name)).to contain_exactly("Wren", "Wren (2)")
    expect(Reading.order(:id).map { |reading| reading.textured_by.name }).to eq ["Wren", "Wren (2)"]
  end

  it "is of the fieldbook it was sent to, and of who sent it" do
    lead = member("Lea", "lead")
    sign_in(lead)
    below = "/fieldbooks/#{api_post('/api/fieldbooks', { name: 'Second' })['id']}"
    headers = { "HTTP_IDEMPOTENCY_KEY" => SecureRandom.uuid, "HTTP_HOST" => "127.0.0.1",
                "CONTENT_TYPE" => "application/octet-stream" }
    sent = JSON.parse(post("#{below}/api/imports?name=w.csv", "Pit,Layer,Top,Bottom\nP,A,0,9\n", headers).body)
    expect(now(sent)).to be_refused(404, nil, /no import/)
    api_post("#{below}/api/imports/#{sent['id']}/run", {})
    queue.work
    expect(Site.pluck(:fieldbook_id)).to eq [Fieldbook.last.id]
    expect(Profile.last.recorded_by.fieldbook).to eq Fieldbook.last
  end
end
