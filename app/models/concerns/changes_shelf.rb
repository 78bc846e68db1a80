# A record that the shelf, or what boards teach of it, is made from.
module ChangesShelf
  extend ActiveSupport::Concern

  included do
    after_save { Current.forget_shelf }
    after_destroy { Current.forget_shelf }
  end
end
