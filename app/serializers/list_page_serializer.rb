# Where a page stands in its list.
class ListPageSerializer < ApplicationSerializer
  fields number: :number, last: :number, count: :number
end
