# frozen_string_literal: true

module Grittle
  module Profile
    # One horizon as it is read down a profile: what was seen of it, and its texture where there is one. Frozen by its maker.
    #
    #   designation  text               depths     DepthRange
    #   colour       Munsell or nil     seen       fields of Fields::HORIZON by name
    #   boundary     cm from and to     grade      code of a field texture grade, or nil
    #   clay         mean percent or nil
    Described = Struct.new(:designation, :depths, :colour, :seen, :boundary, :clay, :grade, keyword_init: true) do
      # @return [Boolean] whether it is said to be another material than what lies above
      def other_material? = seen["discontinuity"] == true || designation.match?(/\A[2-9]/)

      # @return [Boolean] whether it is organic: its texture is none
      def organic? = designation.match?(/\A\d?O/)
    end
  end
end
