# frozen_string_literal: true

module Grittle
  # What follows from a texture, with its uncertainty: figures and categories of one horizon, and down the profile. No
  # figure is a design value.
  module Consequences
    # One thing that follows: a figure of the composition with categories, or a category that the class alone decides.
    # figure   a name of Cells::FIGURES_OF; nil where the class decides
    # limits   categories of the figure, with the value each ends under
    # table    categories by class code, where the class decides
    Consequence = Struct.new(:id, :label, :unit, :figure, :limits, :table, :source, :says, keyword_init: true) do
      # @return [Boolean] whether the class alone decides
      def by_class? = figure.nil?

      # @return [Array<String>] categories from the least on
      def categories = by_class? ? table.values.uniq : limits.keys

      # @param value [Float]
      # @return [String] the category a value lies in
      def category(value) = limits.find { |_, under| under.nil? || value < under }.first
    end

    # A table of classes by category, the other way round.
    def self.by_code(name) = FIGURES[name].flat_map { |category, codes| codes.map { |code| [code, category] } }.to_h
    private_class_method :by_code

    CODES = Triangles::USDA.classes.keys.freeze
    FROST = CODES.to_h { |code| [code, FIGURES["frost"].fetch(code, FIGURES["frost_else"])] }.freeze
    MANUAL = "categories: Soil Survey Manual 2017, not checked against the source"
    LIST = [
      { id: "available_water", label: "Water that plants can take", unit: "mm in 10 cm", figure: :available_water,
        limits: FIGURES["available_water"], source: "Saxton & Rawls 2006; #{MANUAL}" },
      { id: "ksat", label: "How fast water goes through wet soil", unit: "mm/h", figure: :ksat,
        limits: FIGURES["ksat_classes"], source: "Saxton & Rawls 2006; #{MANUAL}",
        says: "Cracks, channels and packing count more than texture." },
      { id: "intake", label: "Water it takes, once wet", unit: "mm/h", table: by_code("intake"),
        source: "FAO, Irrigation Water Management, Training Manual 5, not checked against the source",
        says: "Dry soil takes more at first, crusted soil less." },
      { id: "leaching", label: "How far a solute sinks while 25 mm drain", unit: "mm", figure: :leaching,
        limits: FIGURES["leaching"], source: "piston flow; categories our own", says: "Faster in cracks." },
      { id: "erodibility", label: "How easily rain carries it away", unit: "K, US units", figure: :erodibility,
        limits: FIGURES["erodibility"], source: "EPIC, Sharpley & Williams 1990, not checked against the source",
        says: "Of the soil alone, not of slope or cover." },
      { id: "carbon", label: "Organic carbon for its clay", unit: "carbon to clay", figure: :carbon,
        limits: FIGURES["carbon"], source: "Prout et al. 2021, not checked against the source",
        says: "Of topsoil whose organic matter is known. Degraded soil slumps and crusts." },
      { id: "nutrients", label: "Nutrients it can hold", unit: "cmol/kg", figure: :nutrients,
        limits: FIGURES["nutrients"],
        source: "common practice; categories: Metson 1961, not checked against the source",
        says: "The hand does not feel which clay it is." },
      { id: "spring", label: "How slowly it warms in spring", unit: "MJ/m³ K", figure: :spring,
        limits: FIGURES["spring"], source: "de Vries 1963, not checked against the source; categories our own" },
      { id: "shrink_swell", label: "Shrinking and swelling", unit: "% clay", figure: :clay,
        limits: FIGURES["shrink_swell"], source: "our own", says: "Cracks or the rod decide." },
      { id: "working", label: "When it can be worked", unit: "% clay", figure: :clay, limits: FIGURES["working"],
        source: "our own", says: "Try the plastic limit first." },
      { id: "frost", label: "Heave by frost", table: FROST, source: "common practice", says: "Only with water near." },
      { id: "hydrologic_group_tr55", label: "Hydrologic group of disturbed soil (TR-55)",
        table: by_code("hydrologic_group_tr55"), source: "TR-55, 1986, appendix A", says: "Silt is not in its list." }
    ].freeze
    ALL = LIST.to_h { |one| [one[:id], Consequence.new(**one).freeze] }.freeze

    # @param id [String]
    # @return [Consequence]
    # @raise [UnknownName]
    def self.[](id) = ALL.fetch(id) { raise UnknownName.new("consequence", id, ALL.keys) }

    # @param upper_cm, lower_cm [Numeric] of a horizon
    # @return [Numeric] percent by weight that is assumed where none was told, by the horizon's middle
    def self.assumed_organic_matter(upper_cm, lower_cm)
      middle = (upper_cm + lower_cm) / 2.0
      FIGURES["organic_by_depth"].find { |above, _| above.nil? || middle < above }.last
    end
  end
end
