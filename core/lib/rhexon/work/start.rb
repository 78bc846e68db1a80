module Rhexon
  module Work
    # What a face is like before the first step: bare, coated by somebody else, an old finish nobody knows, or stripped
    # with colour left in the pores. Unknown is an answer everywhere.
    module Start
      # The class whose figures stand for an old finish, by what softens it (prep: spirit shellac, lacquer solvent
      # lacquer, xylene many waterbornes, nothing cross-linked). Of one that was not tested the thinnest is taken.
      CLASSES = {
        "shellac" => "shellac", "lacquer" => "nitro_lacquer", "waterborne" => "waterborne_one_part",
        "cross_linked" => "oil_varnish", nil => "nitro_lacquer"
      }.freeze
      PASS = "found".freeze

      module_function

      # @param piece [Planning::Piece]
      # @param products [Hash{String=>Materials::Product}]
      # @return [Surface]
      def of(piece, face_id, products)
        found = piece.faces.fetch(face_id)["found"] || {}
        film = Film::Stack.new(wood: piece.wood(face_id), arris: piece.arris || "sharp", **state(found, products))
        Surface.new(
          film: film, found: found, scratch_um: scratch_um(found), residue: found["is"] == "stripped" ? "dust" : nil,
          sheen_gu: film.layers.last&.sheen_gu
        ).freeze
      end

      def state(found, products)
        case found["is"]
        when "coated", "unknown" then coated(found, products)
        when "stripped" then { coats_laid: 2, colour_in_wood: found["colour_left"] == true }
        else {}
        end
      end

      def coated(found, products)
        product = products[found["product"]] ||
          Materials::Product.new("id" => "found", "class" => CLASSES.fetch(found["family"]))
        um = found["um"] || reckoned_um(found, product)
        layer = layer(found, product, um)
        { layers: [ layer ], coats_laid: found["coats"] || 1, texture_um: Film::Abrasion.texture_um("brush").to_f,
          variance_um2: (um * (found["um"] ? Reference.film.coat_sd : Reference.film.found.sd))**2 }
      end

      def layer(found, product, um)
        known = found["is"] == "coated"
        Film::Layer.new(
          pass: PASS, product_id: product.id, um: um, arris_um: um, laid_um: um, opaque: product.colour == "pigmented",
          coloured: product.coloured?, redissolves: product.redissolves?, family: product.family, way: "builder",
          mechanism: product.mechanism, bond_group: 1, sheen_gu: known ? product.sheen_gu&.value : nil, role: PASS
        ).freeze
      end

      # A rule of thumb: so many coats, each of 70 % of what the class usually leaves; less where it is worn.
      # @return [Float] µm
      def reckoned_um(found, product)
        rule = Reference.film.found
        method = product.methods_known.first
        usual = method ? Film::Coat.dry_um(product.wet_um(method).value,
                                           product.solids_volume_percent&.value.to_f) : 0.0
        share = product.id == "found" ? rule.share : 1.0
        (found["coats"] || 1) * usual * share * rule.left.fetch(found["state"] || "sound")
      end

      # @return [Numeric, nil] mean grain of the scratch there is, µm
      def scratch_um(found)
        grit = Prep::Ladder::FROM[found["surface"]] and Prep::Abrasive.near(grit).mean_um
      end
      private_class_method :state, :coated, :layer, :reckoned_um, :scratch_um
    end
  end
end
