module Rhexon
  module Film
    # Least dry film that protects, by what the piece must stand up to.
    module Least
      module_function

      # @param use [String, nil] show, furniture, table_top, bar_top, floor, marine
      # @param top [Materials::Product] product of the last coat
      # @param method [String] how it is laid (a padded film is judged as padded)
      # @return [Numeric, nil] µm; nil when the use is not stated
      def um(use, top, method)
        table = Reference.table("film")
        by_family = table.fetch("least_by_family_um")
        family = method == "pad" && top.protection_family == "builder" ? "padded" : top.protection_family
        by_family[family] || table.fetch("least_um")[use]
      end
    end
  end
end
