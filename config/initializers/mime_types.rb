Mime::Type.register "image/svg+xml", :svg unless Mime[:svg]
Mime::Type.register "application/pdf", :pdf unless Mime[:pdf]
