# frozen_string_literal: true

module Grittle
  module Tests
    # What can hurt somebody, each said once at its step: one sentence, and more behind it. Common practice; the local
    # law and code decide.
    CAUTIONS = {
      "site" => {
        sentence: "On contaminated or unknown ground wear gloves and do not texture with bare hands.",
        more: "Asbestos, fuel and waste need a licensed specialist before anybody digs or takes a sample."
      },
      "contaminated" => {
        sentence: "Contamination is suspected at this site: wear gloves, keep soil off skin and mouth, and stop if " \
                  "it smells, stains " \
                  "or glistens.",
        more: "A specialist decides whether anybody handles this soil at all. Do not sniff it, wash your hands and " \
              "tools, and keep the " \
              "samples closed and labelled."
      },
      "exposure" => {
        sentence: "Have buried cables and pipes located before you dig, and never enter an excavation that is not " \
                  "supported.",
        more: "Benching, battering or shoring go by the local law; many set the limit between 1.2 and 1.5 m. A " \
              "competent person inspects it daily and after rain. Keep spoil and machines back from the edge. Never " \
              "work alone. Cover or fence every pit and hole that is left. Mind power augers, lifting, heat, and " \
              "cold wet hands."
      },
      "sampling" => {
        sentence: "Cover cuts before you handle soil, and wash your hands before you eat.",
        more: "Soil can carry manure, pathogens and chemicals. Take particular care with soil from animal runs and " \
              "when children help. Do not sniff it from close by."
      },
      "tasting" => {
        sentence: "Do not taste soil or grind it between the teeth, though old keys ask for it.",
        more: "Manure, pathogens and chemicals cannot be seen. Grittle has no taste test: rubbing a pinch with " \
              "plenty of water " \
              "tells the same."
      },
      "dust" => {
        sentence: "When you sieve, crush or grind dry soil, wet it or wear a mask.",
        more: "The dust can carry silica and spores."
      },
      "shine" => {
        sentence: "Use the back of the knife, and drag it away from your hand.",
        more: "A spoon or the edge of a trowel shows the same gloss."
      },
      "acid" => {
        sentence: "Dilute hydrochloric acid: wear goggles and gloves, use a drop, keep the bottle labelled and closed.",
        more: "Commonly 1 mol/L. Keep it away from eyes, skin, animals and plants, and rinse what it touched with " \
              "plenty of water."
      },
      "reagent" => {
        sentence: "Reagents of a pH kit: keep them off skin and eyes, out of reach of children, and out of the soil " \
                  "that goes back.",
        more: "Follow the sheet that came with the kit, take the used crumbs home, and wash your hands before you eat."
      },
      "services" => {
        sentence: "Have buried cables and pipes located before you dig, auger or probe.",
        more: "Ask the local service before every hole, also a narrow one. Stop at anything hard that is no stone."
      },
      "holes" => {
        sentence: "Cover and mark every hole that is left, also for an hour.",
        more: "A hole of a hand's width breaks a leg. Fill it when the test is done."
      },
      "effluent" => {
        sentence: "Where effluent was spread wear gloves and wash: it carries pathogens.",
        more: "Use clean water for the test, keep children and animals away, and disinfect the tools."
      },
      "dispersant" => {
        sentence: "Keep dispersant out of eyes and off skin.",
        more: "Read the sheet of the one you use, label the jar, and do not pour it into a ditch or stream."
      },
      "plastic" => {
        sentence: "Use plastic, not glass: a wet jar slips.",
        more: "Clear and straight-sided, with a lid that closes."
      },
      "results" => {
        sentence: "Hand texture is an estimate.",
        more: "Effluent disposal, footings, dams, slopes and contamination are decided under local codes by licensed " \
              "people, on laboratory results where those are required."
      }
    }.each_value(&:freeze).freeze
  end
end
