require "test_helper"

# Records, then what pages get of them; the core knows neither.
class ArrowsTest < ActiveSupport::TestCase
  def code(folder)
    Dir[Rails.root.join(folder, "**/*.rb")].to_h do |file|
      [ file.delete_prefix("#{Rails.root}/"), File.readlines(file).grep_v(/^\s*#/).join ]
    end
  end

  test "a record does not know how pages are told of it" do
    assert_empty code("app/models").select { |_, text| text.match?(/\w+Serializer\b/) }.keys
  end

  test "a serializer reads what it is given, and plans nothing" do
    assert_empty code("app/serializers").select { |_, text| text.match?(/\b(ShopFloor|Planner)\b/) }.keys
  end

  test "the core knows nothing of records, requests and the clock" do
    records = Dir[Rails.root.join("app/models/*.rb")].map { |file| File.basename(file, ".rb").camelize }
    records -= Rhexon.constants.map(&:to_s)
    rails = /\b(Rails|ActiveRecord|ActiveSupport|ApplicationRecord)\b|::(#{records.join("|")})\.(find|where|create)/
    clock = /\bTime\.now\b|\bDate\.today\b|\bKernel\.rand\b/
    assert_empty code("core/lib").select { |_, text| text.match?(Regexp.union(rails, clock)) }.keys
  end
end
