require Rails.root.join("devices/devices")
