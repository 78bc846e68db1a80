# A password that was forgotten, set on the shop's computer itself: whoever works there may read the shop's file anyway.
class Shop::NewPassword
  # @param name [String] of somebody of the shop
  # @raise [Rhexon::InvalidInput] when there is nobody of that name
  def initialize(name)
    @person = Person.find_by(name: name.to_s.strip)
    return if @person

    names = Person.order(:id).pluck(:name)
    raise Rhexon::InvalidInput.new(name.blank? ? "Say whose password" : "There is nobody called #{name} here",
                                   where: "name", accepted: names.to_sentence(two_words_connector: " or ",
                                                                              last_word_connector: " or ").presence ||
                                                            "the first page of a new shop asks for its owner")
  end

  # Signs them out everywhere and takes their second step away; where nobody else can let people in, they own the shop
  # from now on.
  # @param password [String]
  # @return [Person]
  # @raise [ActiveRecord::RecordInvalid]
  def set!(password)
    Rhexon.refuse_unless(password.present?, "Nothing was typed", where: "password", accepted: Person.password_words)
    Person.transaction do
      @person.role = "owner" unless Person.owned?
      @person.update!(password: password, second_secret: nil, second_used_at: nil)
      @person.end_everywhere!
      AuditLine.note!("password", person: @person, by: "bin/rhexon-shop")
    end
    @person
  end
end
