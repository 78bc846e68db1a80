# The demo signs in by itself, for whoever sits at its machine.
Rails.application.config.x.demo = ENV["RHEXON_DEMO"] == "1" || Rails.env.test?
