# frozen_string_literal: true

# Draws docs/evidence.svg: the 80 % region closing in on one sample, computed by the core. Run by bin/screenshots.

require_relative "place"
require_relative "../../core/lib/grittle"

RIBBONS = [41, 44, 39].map { |mm| { "length_mm" => mm } }.freeze
STAGES = [
  ["The ball holds", { "ball_holds" => true }],
  ["and ribbons of 41, 44, 39 mm", { "ribbons" => RIBBONS }],
  ["and neither stands out", { "wet_rub" => "neither" }],
  ["and sticky, no resistance", { "stickiness" => "moderately", "shear_resistance" => "none" }]
].freeze
# Corners of the triangle as sand and clay.
WHOLE = [[100, 0], [0, 0], [0, 100]].freeze
SIDE = 210
HEIGHT = SIDE * Math.sqrt(3) / 2
GAP = 24
TOP = 16

def at(left, sand, clay)
  [left + (SIDE * ((100 - sand - clay) + (clay / 2.0)) / 100), TOP + (HEIGHT * (100 - clay) / 100)].map do |px|
    px.round(1)
  end
end

def outline(left, vertices) = vertices.map { |sand, clay| at(left, sand, clay).join(",") }.join(" ")

def bar(left, clay, from, to)
  corners = [[from - 0.5, clay - 0.5], [to + 0.5, clay - 0.5], [to + 0.5, clay + 0.5], [from - 0.5, clay + 0.5]]
  "M#{corners.map { |sand, up| at(left, sand, up).join(' ') }.join('L')}Z"
end

felt = {}
panels = STAGES.each_with_index.map do |(words, answers), place|
  felt = felt.merge(answers)
  estimate = Grittle::Evidence::Estimate.new(Grittle::Observations.new(felt))
  left = GAP + (place * (SIDE + GAP))
  classes =
    Grittle::Triangles::USDA.classes.values.map { |one| %(<polygon points="#{outline(left, one.polygon)}"/>) }.join
  code, share = estimate.classes.first
  name = Grittle::Triangles::USDA[code].name
  region = 100.0 * estimate.region.size / Grittle::Evidence::Grid::SIZE
  outline_of_region = estimate.runs.map { |run| bar(left, *run) }.join
  <<~SVG
    <clipPath id="whole-#{place}"><polygon points="#{outline(left, WHOLE)}"/></clipPath>
    <path clip-path="url(#whole-#{place})" fill="#4d6353" fill-opacity="0.55" d="#{outline_of_region}"/>
    <g fill="none" stroke="#1e1812" stroke-width="0.8">#{classes}</g>
    <text x="#{left}" y="#{(TOP + HEIGHT + 26).round}" font-weight="700">#{words}</text>
    <text x="#{left}" y="#{(TOP + HEIGHT + 46).round}">#{name} #{(100 * share).round} %; region #{region.round} %</text>
  SVG
end

width = GAP + (STAGES.size * (SIDE + GAP))
height = (TOP + HEIGHT + 62).round
File.write(Place.at("docs/evidence.svg"), <<~SVG)
  <svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 #{width} #{height}" width="#{width}" height="#{height}"
    font-family="sans-serif" font-size="13" role="img" aria-label="The 80 % region closes in with every answer">
  <rect width="#{width}" height="#{height}" fill="#fcf7ea"/>
  #{panels.join}</svg>
SVG
