# frozen_string_literal: true

module Grittle
  module Profiles
    # One horizon as it is read down a profile: what was seen of it, and its texture where there is one. Frozen by its
    # maker.
    #
    #   designation  text               depths     DepthRange
    #   colour       Munsell or nil     seen       fields of Entry::Fields::HORIZON by name
    #   boundary     cm from and to     named      NamedClass that speaks for it, or nil
    #   clay         mean percent or nil
    HorizonDescription = Struct.new(:designation, :depths, :colour, :seen, :boundary, :clay, :named,
                                    keyword_init: true) do
      # @return [Boolean] whether it is said to be another material than what lies above
      def other_material? = seen["discontinuity"] == true || designation.match?(/\A[2-9]/)

      # @return [Boolean] whether it is organic: its texture is none
      def organic? = designation.match?(/\A\d?O/) || named&.texture? == false

      # @return [NamedClass, nil] its field texture grade
      def grade = (named if named&.kind == :grade)

      # @return [Boolean] so many fragments that water passes as through gravel
      def gravel? = (seen["fragments_percent"] || 0) >= Data::PROFILE["gravel_from"]
    end
  end
end
