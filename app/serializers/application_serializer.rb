# Serialisers carry the types of the front end: TypeScript is generated from them. Instants are minutes since 1970 in
# UTC.
class ApplicationSerializer
  include Alba::Resource
  include Typelizer::DSL

  NULLABLE = { nullable: true }.freeze
  PRIORITY = Rhexon::Planning::Piece::PRIORITIES.map { |name| "'#{name}'" }.join(" | ").freeze

  # Attributes with their TypeScript types in one place.
  def self.fields(**types)
    typelize(**types)
    attributes(*types.keys)
  end
end
