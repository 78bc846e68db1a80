# A picture never changes: another photo has another address.
module SendsPicture
  private

  def picture(file)
    expires_in 1.year, public: false
    send_data file.download, type: "image/jpeg", disposition: "inline"
  end
end
