# frozen_string_literal: true

RSpec.describe "A file on its way in", :imports do
  def file(name, text) = File.join(Dir.mktmpdir, name).tap { |path| File.binwrite(path, text) }

  def send_in(path) = find("input[type='file']", visible: :all).set(path)

  # Other order, inches, decimal commas, a byte order mark, 5000 rows; three of them bad.
  def messy(bad:)
    rows = (0...5000).map do |number|
      pit, layer = number.divmod(4)
      top = layer * 8
      ["#{top + 8},0", "", %w[Ap E Bt C][layer], "#{top},0", "P#{pit}", layer == 2 ? "clay" : "", "10YR 4/3"]
    end
    if bad
      rows[7][3] = ""
      rows[4000][2] = ""
      rows[4999][6] = "brown"
    end
    "\uFEFF#{[['Bottom (in)', 'Remarks', 'Horizon', 'Top (in)', 'Pit', 'Texture', 'Munsell'], *rows].map do |row|
      row.join(';')
    end.join("\r\n")}"
  end

  it "is mapped, has every bad row named, and is taken in as a whole with progress" do
    visit "/"
    click_link "Import"
    send_in file("valley.csv", messy(bad: true))
    expect(page).to have_text("3 to mend before anything is imported")
    expect(all("ol[aria-label='Problems in the file'] li").map(&:text)).to match [
      /\Arow 9\s+Upper depth is missing/,
      /row 4002\s+The horizon has no name/,
      /row 5001\s+“brown” is no Munsell/
    ]
    expect(page).to have_button("Import everything", disabled: true)
    expect(find_field("Meaning of Bottom (in)").value).to eq "lower_cm"
    expect(find_field("Depths in").value).to eq "in"
    expect(axe_violations).to be_empty
    select "Leave it out", from: "Meaning of Munsell"
    expect(page).to have_text("2 to mend before anything is imported")
    click_button "Another file"
    send_in file("valley.csv", messy(bad: false))
    expect(page).to have_text("Nothing is wrong in it.")
    click_button "Import everything"
    expect(page).to have_css("progress")
    expect(page).to have_text("Imported: 5000 of 5000 rows.", wait: 120)
    expect([Horizon.count, Profile.count, Horizon.maximum(:lower_cm).to_f]).to eq [5000, 1250, 81.3]
    expect([Reading.count, ReportedClass.count]).to eq [0, 1250]
  end

  it "may be the whole fieldbook" do
    Demo.load
    book = Exchange::JsonBook.new(Exchange::Scope.new("fieldbook")).enum_for(:each).to_a.join
    visit "/import"
    send_in file("book.json", book)
    expect(page).to have_text("JSON fieldbook: 3 sites, 4 profiles, 17 horizons")
    click_button "Import everything"
    expect(page).to have_text(/Imported: \d+ of \d+ rows/, wait: 60)
    click_link "To the fieldbook"
    expect(page).to have_text("6 sites, 8 profiles")
  end

  it "is refused in one sentence when it is no file of ours" do
    visit "/import"
    send_in file("pit.zip", "PK\x03\x04 and no more")
    expect(page).to have_css("[role='alert']", text: "The ZIP is damaged or cut off.")
  end

  it "is found again by the search, and offered for carrying out" do
    Demo.load
    visit "/"
    fill_in "Search", with: "rushes"
    expect(page).to have_text("1 site, 1 profile").and have_no_text("Kiln Bank")
    fill_in "Search", with: "nowhere"
    expect(page).to have_text("Nothing in the fieldbook fits that.")
    click_button "Show all"
    click_button "Unfinished"
    expect(page).to have_text("1 site").and have_no_text("Sallow Bottom")
    click_button "Export"
    expect(page).to have_css("a[href='/api/export?format=pdf&of=fieldbook'][download]")
  end

  it "may be where the receiver stands" do
    stand_in =
      IO.popen(["ruby", File.expand_path("../../bin/gps-stand-in", __dir__), "--port", "0", "--at", "47.918,15.204"])
    stub_const("GpsReceiver::ADDRESS", stand_in.gets[/127\.0\.0\.1:\d+/])
    visit "/"
    click_button "Add the first site"
    fill_in "Name", with: "Kame"
    click_button "Use GPS"
    expect(page).to have_text(/10 fixes, spread \d+(\.\d+)? m, \d+ damaged sentences? refused/, wait: 20)
    click_button "Add the site"
    expect(page).to have_css("h2", text: "New profile at Kame")
    expect(Site.last.seen["latitude"]).to be_within(0.001).of(47.918)
  ensure
    Process.kill("TERM", stand_in.pid)
    stand_in.close
  end
end
