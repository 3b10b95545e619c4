/** Names for single animals: words from the rope works and the quay. */
export const NAMES: readonly string[] = `
Tamsin Bollard Oakum Fid Marlin Toggle Cleat Pitch Strand Hawser Splice Caulk Tarry Lanyard Becket Shackle
Bowline Sheepshank Halyard Ratline Bobbin Hackle Heckle Selvage Grommet Thimble Lacing Gasket Kedge Capstan
Windlass Mooring Painter Sculler Coxswain Ferry Lighter Wherry Barge Tender Skiff Punt Coble Dory Ketch Yawl
Brig Sloop Lugger Cutter Spinnaker Jib Mizzen Foresail Topsail Royal Stay Boom Gaff Sprit Yard Spar Mast
Keel Garboard Strake Transom Thole Rowlock Gunwale Bilge Limber Scupper Hatch Coaming Binnacle Compass Lodestar
Beacon Lantern Foghorn Buoy Jetty Groyne Quay Slipway Hard Saltings Samphire Eelgrass Tidewrack Driftwood
Spindle Distaff Treadle Carder Tow Flax Jute Sisal Manila Coir Ramie Nettle Linen Canvas Drill Ticking
Hessian Burlap Sacking Twine Cordage Marline Seizing Whipping Serving Worming Parcel Ropeyarn Rigger Ropery
Turnstile Signal Ballast Cargo Manifest Harbour Sandbar Shingle Estuary Curlew Dunlin Plover Teal Wigeon
Sextant Almanac Logline Leadline Fathom Cable League Kelp Limpet Whelk Cockle Mussel Barnacle Periwinkle
`
  .trim()
  .split(/\s+/)
