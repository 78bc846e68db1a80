# One page of a long list.
class ListPage
  # @!attribute number [Integer] of the page, from 1
  # @!attribute last   [Integer] number of the last one
  # @!attribute count  [Integer] records in all
  attr_reader :number, :last, :count

  # @param scope [ActiveRecord::Relation, Array] in order
  # @param wanted [String, nil] number of the page; past the end the last, of no sense the first
  # @param size [Integer] records to a page
  def initialize(scope, wanted, size:)
    @scope = scope
    @size = size
    @count = scope.is_a?(Array) ? scope.size : scope.count(:all)
    @last = [ (@count / size.to_f).ceil, 1 ].max
    @number = wanted.to_i.clamp(1, @last)
  end

  # @return [ActiveRecord::Relation]
  def records = @scope.limit(@size).offset((@number - 1) * @size)
end
