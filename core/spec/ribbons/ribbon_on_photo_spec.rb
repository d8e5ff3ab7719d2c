# frozen_string_literal: true

RSpec.describe Grittle::RibbonOnPhoto do
  def measured(ribbon, points: [[0, 0], [500, 0]], mm: 100, **more)
    described_class.new(ruler: { "points" => points, "mm" => mm }, ribbon: ribbon, **more)
  end

  # Lengths of straight lines and of arcs: geometry.
  arc = lambda do |radius, degrees, clicks|
    (0..clicks).map do |i|
      [radius * Math.cos(degrees * i / clicks * Math::PI / 180.0),
       radius * Math.sin(degrees * i / clicks * Math::PI / 180.0)]
    end
  end
  {
    "a straight one" => [[[0, 100], [240, 100]], 48.0],
    "a straight one in three clicks" => [[[0, 100], [100, 100], [240, 100]], 48.0],
    "a half circle in four pieces" => [arc[100, 180, 4], 100 * Math::PI / 5],
    "a curl of three quarters in five" => [arc[60, 270, 5], 60 * 1.5 * Math::PI / 5]
  }.each do |name, (points, mm)|
    it("measures #{name}") { expect(measured(points).length_mm).to be_within(1e-6 * mm).of(mm) }
  end

  it "carries what a click is off by to the length" do
    # two ends, 2 px each at 0.2 mm a px, and twice 2 px in 500 of the ruler: by hand
    expect(measured([[0, 100], [250, 100]], click_px: 2).error_mm).to be_within(1e-9).of(
      Math.sqrt((2 * (0.4**2)) + ((50**2) * 2 * ((2 / 500.0)**2)))
    )
    expect(measured([[0, 100], [250, 100]], click_px: 6).error_mm).to be >
                                                                      2 * measured([[0, 100], [250, 100]],
                                                                                   click_px: 2).error_mm
  end

  {
    "aslant" => -> { measured([[0, 50], [250, 50]], second: { "points" => [[0, 90], [440, 90]], "mm" => 100 }) },
    "short_ruler" => -> { measured([[0, 50], [500, 50]], points: [[0, 0], [100, 0]], mm: 20) },
    "far_ruler" => -> { measured([[0, 900], [250, 900]]) }
  }.each do |warning, make|
    it("warns: #{warning}") { expect(instance_exec(&make).warnings.map { |one| one["warning"] }).to include warning }
  end

  it "warns of nothing where two scales agree, and trusts two more than one" do
    one = measured([[0, 50], [250, 50]])
    two = measured([[0, 50], [250, 50]], second: { "points" => [[0, 90], [500, 90]], "mm" => 100 })
    expect(two.warnings).to be_empty
    expect(two.error_mm).to be < one.error_mm
  end

  {
    "/ribbon" => -> { measured([[0, 0]]) }, "/ruler" => -> { measured([[0, 0], [9, 9]], mm: 2) }, "/second" => lambda {
      measured([[0, 0], [9, 9]], second: { "points" => [[1, 1], [1, 1]], "mm" => 50 })
    }
  }.each do |pointer, make|
    it("refuses what is no measure at #{pointer}") do
      expect { instance_exec(&make) }.to raise_error(Grittle::InvalidInput) { |error|
        expect(error.problems.first.pointer).to eq pointer
      }
    end
  end

  it "lets a photographed length be tighter than one read off a ruler by eye, and looser" do
    scale = lambda do |error|
      Grittle::RibbonSet.new([Grittle::PushedRibbon.new({ "length_mm" => 48,
"reading_error_mm" => error }.compact)]).scale
    end
    expect([scale[0.5] < scale[nil], scale[2.0] == scale[nil], scale[6.0] > scale[nil]]).to all be true
  end

  it "refuses marks far outside the picture, and takes one just beyond its edge" do
    expect do
      measured([[0, 50], [9000, 50]], size: [800, 600])
    end.to raise_error(Grittle::InvalidInput, /outside the picture, which is 800 by 600/)
    expect { measured([[0, -4000], [250, 50]], size: [800, 600]) }.to raise_error(Grittle::InvalidInput, /outside/)
    expect(measured([[0, 50], [850, 50]], size: [800, 600]).length_mm).to be_within(0.01).of(170)
  end
end
