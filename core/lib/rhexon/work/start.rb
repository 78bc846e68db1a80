module Rhexon
  module Work
    # What a face is like before the first step: bare, coated by somebody else, an old finish nobody knows, or stripped
    # with colour left in the pores. Unknown is an answer everywhere.
    module Start
      # The class whose figures stand for an old finish, by what softens it (prep: spirit shellac, lacquer solvent
      # lacquer, xylene many waterbornes, nothing cross-linked).
      CLASSES = {
        "shellac" => "shellac", "lacquer" => "nitro_lacquer", "waterborne" => "waterborne_one_part",
        "cross_linked" => "oil_varnish"
      }.freeze
      PASS = "found".freeze

      module_function

      # @param piece [Planning::Piece]
      # @param products [Hash{String=>Materials::Product}]
      # @return [Surface]
      def of(piece, face_id, products)
        found = piece.faces.fetch(face_id)["found"] || {}
        film = Film::Stack.new(wood: piece.wood(face_id), arris: piece.arris || Reference.film.usual_arris,
**state(found, products))
        Surface.new(
          film: film, found: found, scratch_um: scratch_um(found), residue: found["is"] == "stripped" ? "dust" : nil,
          sheen_gu: film.layers.last&.sheen_gu
        ).freeze
      end

      # @param found [Hash] what was there before
      # @return [Array<Film::Layer>] what lies on the face
      def layers(found, products) = state(found, products).fetch(:layers, [])

      # @param family [String] of CLASSES
      # @return [Materials::Product] what stands for an old finish of that family
      def stand_in(family) = Materials::Product.new("id" => PASS, "class" => CLASSES.fetch(family))

      def state(found, products)
        case found["is"]
        when "coated", "unknown" then coated(found, products)
        when "stripped" then { coats_laid: 2, colour_in_wood: found["colour_left"] == true }
        else {}
        end
      end

      def coated(found, products)
        known = products[found["product"]]
        um = found["um"] || reckoned_um(found, known)
        sd = found["um"] ? Reference.film.coat_sd : Reference.film.found.sd
        { layers: [ layer(um, known || softened(found)) ], coats_laid: found["coats"] || 1, variance_um2: (um * sd)**2,
          texture_um: Film::Abrasion.texture_um("brush").to_f }
      end

      # @return [Materials::Product, nil] what stands for an old finish that was tested
      def softened(found) = found["family"] && stand_in(found["family"])

      # What was not tested melts into nothing and holds by nothing but its own.
      def layer(um, product)
        nature = if product
          { opaque: product.colour == "pigmented", coloured: product.coloured?, redissolves: product.redissolves?,
            family: product.family, mechanism: product.mechanism }
        else
          { opaque: false, coloured: false, redissolves: false, family: nil, mechanism: "unknown" }
        end
        gu = product.sheen_gu&.value unless product.nil? || product.id == PASS
        Film::Layer.new(pass: PASS, product_id: product&.id || PASS, um: um, arris_um: um, laid_um: um, way: "builder",
                        bond_group: 1, sheen_gu: gu, role: PASS, **nature).freeze
      end

      # A rule of thumb: so many coats, each of 70 % of what the class usually leaves; less where it is worn. Of a
      # finish that was not tested the thinnest is taken.
      # @return [Float] µm
      def reckoned_um(found, known)
        rule = Reference.film.found
        each = if known then usual_um(known)
        else
          families = found["family"] ? [ found["family"] ] : CLASSES.keys
          families.map { |family| usual_um(stand_in(family)) }.min * rule.share
        end
        (found["coats"] || 1) * each * rule.left.fetch(found["state"] || "sound")
      end

      # Dry film of a coat by the product's first method, µm.
      def usual_um(product)
        method = product.methods_known.first or return 0.0
        Film::Coat.dry_um(product.wet_um(method).value, product.solids_volume_percent&.value.to_f)
      end

      # @return [Numeric, nil] mean grain of the scratch there is, µm
      def scratch_um(found)
        grit = Reference.abrasives.from[found["surface"]] and Prep::Abrasive.near(grit).mean_um
      end
      private_class_method :state, :coated, :softened, :layer, :reckoned_um, :usual_um, :scratch_um
    end
  end
end
