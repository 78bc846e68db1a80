require "test_helper"
require_relative "../support/pictures"

class PhotosTest < RequestTest
  include Pictures

  setup do
    set_up_shop
    @piece = make_piece(steps: [ coat("s1", coats: 2) ])
    @board = Board.create!(name: "Board 1", piece: @piece, wood: "elm", grain: "open", width_mm: 400, height_mm: 300,
                           made_on: Date.new(2026, 11, 13))
    @cell = @board.cells.create!(label: "1", position: 0, layers: [])
  end

  def take(bytes, id: SecureRandom.uuid, name: "photo.jpg", **of)
    post("/photos", params: { file: upload(bytes, name: name), client_id: id, **of },
                    headers: { "ACCEPT" => "application/json" })
  end

  def stored = Vips::Image.new_from_buffer(Photo.last.image.download, "")

  test "a large photo is made small and is sent once however often it comes" do
    2.times { take(picture(wide: 3000, high: 2000), id: "p1", cell_id: @cell.id) }
    assert_response :success
    assert_equal [ 1, 1600, 1067 ], [ Photo.count, answer["photo"]["width"], answer["photo"]["height"] ]
    get "/photos/#{Photo.last.id}/thumb"
    assert_equal [ "image/jpeg", 360 ], [ response.media_type, Vips::Image.new_from_buffer(response.body, "").width ]
    assert_match(/max-age=31\d+/, response.headers["Cache-Control"])
  end

  test "what the camera wrote is gone, and the picture stands upright" do
    take(from_a_camera, piece_id: @piece.id)
    assert_equal [ 300, 400 ], [ stored.width, stored.height ], "turned by its orientation"
    refute_match(/secret/i, Photo.last.image.download)
    assert_empty stored.get_fields.grep(/exif/)
  end

  test "bad photos are refused kindly and nothing is kept" do
    whole = picture(wide: 1200, high: 900)
    { "x" * 200 => /no picture this program can read/, "%PDF-1.7\n" => /no picture/,
      whole.first(whole.bytesize / 2) => /broken/, "" => /no picture/,
      Vips::Image.black(12_000, 12_000).pngsave_buffer => /12000 x 12000 pixels, which is too many/,
      picture(wide: 40,
              high: 30) => /only 40 x 30/, (whole +
                ("\0" * 21.megabytes)) => /21 MB, which is too large/ }.each do |bytes, says|
      assert_no_difference(-> { Photo.count + ActiveStorage::Blob.count }) { take(bytes, cell_id: @cell.id) }
      assert_response :unprocessable_entity
      assert_match says, sentence
      assert answer["error"]["accepted"].present?
    end
    post "/photos", params: { client_id: "x", cell_id: @cell.id }, headers: { "ACCEPT" => "application/json" }
    assert_match(/Choose a photo/, sentence)
    take(picture, cell_id: 9_999)
    assert_response :not_found
  end

  # The patch is [0.2, 0.08, 0.03] in linear light whatever the lamp: L* = 116 f(Y) - 16 with Y = 0.2126 * 0.2 +
  # 0.7152 * 0.08 + 0.0722 * 0.03 = 0.1019, so 38.2.
  test "a patch beside a grey card gives its colour in any lamp, of low trust and apart from what was read" do
    send_json("/boards/#{@board.id}/cells/#{@cell.id}/readings",
              { client_id: "r", kind: "lab", value: [ 50, 10, 20 ], taken_at: Time.current.iso8601 })
    found = [ [ 1.0, 0.8, 0.6 ], [ 0.7, 0.9, 1.0 ] ].map do |lamp|
      take(picture(lamp: lamp), cell_id: @cell.id)
      send_json("/photos/#{Photo.last.id}/colour", { patch: [ 0.6, 0.6, 0.3, 0.3 ], grey: [ 0.1, 0.1, 0.3, 0.3 ] })
      answer["lab"]
    end
    found.each { |lab| assert_in_delta 38.2, lab[0], 0.6 }
    assert_operator Rhexon::Colour::DeltaE.ciede2000(*found), :<, 2
    send_json("/boards/#{@board.id}/cells/#{@cell.id}/photo_colour",
              { client_id: "c", photo: Photo.last.id, patch: [ 0.6, 0.6, 0.3, 0.3 ], grey: [ 0.1, 0.1, 0.3, 0.3 ] })
    summary = answer["board"]["cells"].first["summary"]
    assert_equal [ [ 50.0, 10.0, 20.0 ], found.last ], summary.values_at("lab", "photo_lab")
    assert_equal "a photo", @cell.readings.last.instrument
  end

  test "marks that cannot be are refused by name" do
    take(picture, cell_id: @cell.id)
    {
      { patch: [ 0.9, 0.9, 0.3, 0.3 ], grey: [ 0, 0, 0.2, 0.2 ] } => "patch",
      { patch: [ 0.6, 0.6, 0.2, 0.2 ], grey: "there" } => "grey",
      { patch: [ 0.6, 0.6, 0.001, 0.001 ], grey: [ 0, 0, 0.2, 0.2 ] } => "patch"
    }.each do |marks, where|
      send_json("/photos/#{Photo.last.id}/colour", marks)
      assert_equal where, answer["error"]["where"]
    end
    take(picture([ 2, 2, 2 ], lamp: [ 9, 9, 9 ]), cell_id: @cell.id)
    send_json("/photos/#{Photo.last.id}/colour", { patch: [ 0.6, 0.6, 0.2, 0.2 ], grey: [ 0, 0, 0.2, 0.2 ] })
    assert_match(/burnt out/, sentence)
  end

  test "a photo of the work in hand is a note in its log and stands with the piece" do
    key = ShopFloor.new.plan.of_piece(@piece.core_id).first.pass.key
    take(picture, pass: key)
    note = Entry.last
    assert_equal [ "note", key, "Top coat, Skerrow W20 clear satin" ], [ note.kind, note.pass_key, note.body["words"] ]
    take(picture, piece_id: @piece.id)
    get "/pieces/#{@piece.id}/photos"
    assert_equal [ nil, "Top coat, Skerrow W20 clear satin" ], answer["photos"].map { |photo| photo["of"] }
    take(picture, pass: "#{@piece.core_id}/s9/1/top")
    assert_match(/no such work/, sentence)
    assert_equal 2, Photo.count
  end

  test "a photo can be taken away, its files with it" do
    take(picture, cell_id: @cell.id)
    delete "/photos/#{Photo.last.id}", headers: { "ACCEPT" => "application/json" }
    assert_equal [ 0, 0 ], [ Photo.count, ActiveStorage::Blob.count ]
  end
end
