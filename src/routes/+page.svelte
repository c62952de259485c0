<p>Eave</p>
