# The first person who may let others in.
class Shop::FirstOwner
  # @param name [String] of somebody of the shop, or somebody new
  # @param password [String]
  def initialize(name, password)
    @name = name.to_s.strip
    @password = password.to_s
  end

  # @return [Person]
  # @raise [Rhexon::InvalidInput, ActiveRecord::RecordInvalid]
  def set!
    Person.transaction do
      Rhexon.refuse_unless(!Person.owned?, "This shop has an owner already; a password that was forgotten is set " \
                                           "anew on the shop's computer (bin/rhexon-shop password NAME)", where: "name")
      Rhexon.refuse_unless(@password.present?, "Choose a password", where: "password", accepted: Person.password_words)
      person = Person.find_or_initialize_by(name: @name)
      person.at_bench = false if person.new_record? && Person.at_bench.any?
      person.update!(role: "owner", password: @password)
      person
    end
  end
end
