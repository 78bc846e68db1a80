# What stands in no log: secrets, and whose work it is.
Rails.application.config.filter_parameters += [
  :passw, :email, :secret, :token, :_key, :crypt, :salt, :certificate, :otp, :ssn, :client, :place, :name, :person,
  :observer, :words, :reason
]
